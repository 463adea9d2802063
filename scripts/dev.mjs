/** npm run dev: the API with the demo on port 4780 and Expo's own server, which reloads as sources change, on 8081. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { checkNode, ensureInstalled, root } from './prepare.mjs';

checkNode();
ensureInstalled();
const api = spawn(process.execPath, ['scripts/start.mjs', '--demo', '--api-only'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, DULVAN_DEV_ORIGIN: 'http://localhost:8081' },
});
const app = spawn('npx', ['expo', 'start', '--web'], {
  cwd: path.join(root, 'app'),
  stdio: 'inherit',
  env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', EXPO_PUBLIC_API: 'http://127.0.0.1:4780' },
});
const stop = () => {
  api.kill();
  app.kill();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
