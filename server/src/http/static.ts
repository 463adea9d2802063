/** Serves the built app: packed files where the browser takes them, and the app's page for every route of its own. */
import { serveStatic } from '@hono/node-server/serve-static';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { readFile } from 'node:fs/promises';
import path from 'node:path';

const A_YEAR_S = 31_536_000;

/** Adds the app in a folder to a server, after its API. */
export function serveApp(server: OpenAPIHono, folder: string): void {
  const root = path.relative(process.cwd(), folder) || '.';
  // What begins with a dot is the build's own business.
  server.use('/*', async (c, next) => (/\/\./.test(c.req.path) ? c.text('Not here.', 404) : next()));
  server.use(
    '/*',
    serveStatic({
      root,
      precompressed: true,
      onFound: (file, c) => {
        // Built files carry a hash of what they hold in their names; the page itself does not.
        const lasting = /-[0-9a-f]{20,}\.|\.[0-9a-f]{20,}\./.test(file);
        c.header('Cache-Control', lasting ? `public, max-age=${A_YEAR_S}, immutable` : 'no-cache');
      },
    }),
  );
  server.get('/*', async (c) => {
    if (path.extname(c.req.path)) return c.text('Not here.', 404);
    c.header('Cache-Control', 'no-cache');
    return c.html(await readFile(path.join(folder, 'index.html'), 'utf8'));
  });
}
