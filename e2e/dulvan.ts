/** A Dulvan of its own for each test, and a page that fails the test on any console error or warning. */
import { test as base, expect, type Page } from '@playwright/test';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { WORKED_OUT_DEMO } from './worked-out-demo';
import { ended, freePort, start } from './server';

export interface Dulvan {
  readonly url: string;
  /** Ends the server as Ctrl-C would and starts it again on the same database. */
  restart(): Promise<void>;
  /** Kills the server without a word, and starts it again on the same database. */
  killAndStart(): Promise<void>;
}

/** A server with a database of its own, and what ends both. */
async function started(startWith: Given['startWith']): Promise<Dulvan & { stop(): Promise<void> }> {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-'));
  const file = path.join(folder, 'home.sqlite');
  const port = await freePort();
  const args = startWith === 'demo' ? ['--demo', '--no-devices'] : [];
  if (startWith === 'demo') copyFileSync(WORKED_OUT_DEMO, file);
  let server = await start(args, port, file);
  const again = async (signal: NodeJS.Signals) => {
    // The page loses the stream of changes for a moment, which the browser logs.
    expectsRefusal();
    await ended(server, signal);
    server = await start(args, port, file);
  };
  return {
    url: `http://127.0.0.1:${port}`,
    restart: () => again('SIGTERM'),
    killAndStart: () => again('SIGKILL'),
    async stop() {
      await ended(server, 'SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

interface Given {
  /** What the server is started with: the demo, or an empty home. */
  readonly startWith: 'demo' | 'nothing';
  readonly dulvan: Dulvan;
}

export const test = base.extend<Given>({
  startWith: ['demo', { option: true }],

  dulvan: async ({ startWith }, use) => {
    const { stop, ...dulvan } = await started(startWith);
    await use(dulvan);
    await stop();
  },

  baseURL: async ({ dulvan }, use) => use(dulvan.url),

  page: async ({ page }, use) => {
    const complaints: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error' || message.type() === 'warning')
        complaints.push(`${message.type()}: ${message.text()}`);
    });
    page.on('pageerror', (error) => complaints.push(`uncaught: ${error.message}`));
    await use(page);
    const expected = test.info().annotations.filter(({ type }) => type === 'expects-refusal').length > 0;
    // A refused request is logged by the browser itself; tests that provoke one say so.
    const unexpected = expected
      ? complaints.filter(
          (text) =>
            !/status of [45]\d\d/.test(text) &&
            !/ERR_(CONNECTION_(REFUSED|RESET)|SOCKET_NOT_CONNECTED)/.test(text) &&
            !/ERR_(INCOMPLETE_CHUNKED_ENCODING|CONTENT_LENGTH_MISMATCH)/.test(text),
        )
      : complaints;
    expect(unexpected, 'console errors and warnings').toEqual([]);
  },
});

/**
 * Where a test runs: on both sizes if the way through it differs, else on the one where growers do it. What is stored
 * and computed is the same on both.
 */
export const ON_PHONE = { tag: '@phone' } as const;
export const ON_WIDE = { tag: '@wide' } as const;

/** For tests that only look: those of one worker share a server with the demo. */
export const lookingTest = test.extend<object, { readonly shared: Dulvan }>({
  shared: [
    async ({ browserName: _any }, use) => {
      const { stop, ...dulvan } = await started('demo');
      await use(dulvan);
      await stop();
    },
    { scope: 'worker' },
  ],
  dulvan: async ({ shared }, use) => use(shared),
});

/** Waits until a screen is there and nothing on it is being worked out any more. */
export async function settled(page: Page): Promise<void> {
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await expect(page.getByText(/^Working/)).toHaveCount(0);
  await expect(page.getByRole('main').getByRole('progressbar')).toHaveCount(0);
}

/** Chooses one of many: opens the list by its name, and takes the choice by its word. */
export async function choose(page: Page, label: string, word: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${escaped(label)}: `) }).click();
  await page.getByRole('dialog', { name: label }).getByRole('radio', { name: word }).click();
}

/** Ticks some of many: opens the list by its name, ticks each by its word, and is done. */
export async function tick(page: Page, label: string, ...words: readonly (string | RegExp)[]): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${escaped(label)}: `) }).click();
  const list = page.getByRole('dialog', { name: label });
  for (const word of words) await list.getByRole('checkbox', { name: word }).click();
  await list.getByRole('button', { name: 'Done' }).click();
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Opens what is folded away under a name. */
export async function unfold(page: Page, title: string): Promise<void> {
  const fold = page.getByRole('button', { name: new RegExp(`^${escaped(title)}`) });
  if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
}

/** Opens the form of a fact; that of a room or a stand stands behind its parts on a phone. */
export async function openForm(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  if (await page.getByRole('button', { name: /^Edit this / }).isVisible()) await unfold(page, 'Edit this ');
}

/** Says that this test makes the server refuse something. */
export function expectsRefusal(): void {
  test.info().annotations.push({ type: 'expects-refusal' });
}

export { expect };
