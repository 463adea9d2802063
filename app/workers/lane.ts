/**
 * One worker and the questions put to it: newer ones take the place of older ones, a worker that stops is started
 * again.
 */
import {
  changesBetween,
  type AnswerOf,
  type HomeAnswers,
  type HomeFacts,
  type HomePlan,
  type ParamsOf,
  type QuestionName,
} from '@dulvan/core';
import { withDelta, type FromWorker, type HomeAnswersDelta, type ReadKind, type ToWorker } from './protocol';
import type { WorkerEvents, WorkerLike } from './start';

/** A question was given up for a newer one. */
export class Superseded extends Error {}

/** A stored file with its text. */
export interface LoadedFile {
  readonly kind: 'weather-hours' | 'intensities';
  readonly text: string;
}

export interface LaneOptions {
  readonly start: (events: WorkerEvents) => WorkerLike;
  /** Loads a stored file that facts name. */
  readonly load: (homeId: string, fileKey: string, kind: LoadedFile['kind']) => Promise<string>;
}

/** What is put to the worker. */
export interface Put<Q extends QuestionName> {
  readonly facts: HomeFacts;
  readonly question: Q;
  readonly params: ParamsOf<Q>;
  /** A question of the same slot that is still open gives way to this one. */
  readonly slot: string;
  readonly onShare?: (share: number) => void;
  /** Of a plan: the best so far. */
  readonly onInterim?: (interim: HomePlan) => void;
}

interface Open {
  readonly id: number;
  readonly slot: string;
  /** Sends it, with all it needs; again after a crash. */
  readonly send: () => Promise<void>;
  readonly onShare: ((share: number) => void) | undefined;
  readonly onInterim: ((interim: HomePlan) => void) | undefined;
  readonly resolve: (value: never) => void;
  readonly reject: (error: Error) => void;
  /** How often a worker stopped over it. */
  crashes: number;
}

/** A question over which this many workers stopped is given up. */
const MOST_CRASHES = 2;
/**
 * A busy worker is asked now and then whether it is still there, and given up when it has said nothing to so many of
 * these in line: on a busy machine one step may take a minute. They are counted, since a page that was held up itself
 * finds much time gone and what it was told not read yet.
 */
const PING_MS = 5_000;
const UNANSWERED = 18;

let made = 0;
const factsKeys = new WeakMap<HomeFacts, string>();

/** Names facts: they never change in place. */
function keyOf(facts: HomeFacts): string {
  let key = factsKeys.get(facts);
  if (!key) factsKeys.set(facts, (key = `f${(made += 1)}`));
  return key;
}

export class Lane {
  private worker: WorkerLike | null = null;
  private readonly open = new Map<number, Open>();
  private readonly files = new Set<string>();
  private told: HomeFacts | null = null;
  private home: { readonly id: number; readonly answers: HomeAnswers } | null = null;
  private unanswered = 0;
  private pings: ReturnType<typeof setInterval> | null = null;

  constructor(private readonly options: LaneOptions) {}

  /** Whether it has answered for a home since its worker started, so that the next answer comes at once. */
  isWarmFor(homeId: string): boolean {
    return this.worker !== null && this.home !== null && this.told?.home.id === homeId;
  }

  /** Brings the worker up before it is asked. */
  wake(): void {
    this.running();
  }

  /** Puts a question. Rejects with Superseded when a newer one takes its slot. */
  async ask<Q extends QuestionName>(put: Put<Q>): Promise<AnswerOf<Q>> {
    const id = (made += 1);
    this.giveWay(put.slot);
    return new Promise<AnswerOf<Q>>((resolve, reject) => {
      const { slot, onShare, onInterim, facts, question, params } = put;
      const send = async () => {
        await this.withFiles(facts);
        if (!this.open.has(id)) return;
        this.tellFacts(facts);
        const since = question === 'home' && this.home ? { since: this.home.id } : {};
        this.post({ type: 'ask', id, factsKey: keyOf(facts), question, params, ...since });
      };
      this.open.set(id, { id, slot, send, onShare, onInterim, resolve, reject, crashes: 0 });
      void this.sent(send, id);
    });
  }

  /** Reads a file's text off the page's thread. */
  read(kind: ReadKind, text: string): Promise<unknown> {
    const id = (made += 1);
    return new Promise((resolve, reject) => {
      const send = async () => this.post({ type: 'read', id, kind, text });
      const unheard = { onShare: undefined, onInterim: undefined };
      this.open.set(id, { id, slot: `read ${id}`, send, ...unheard, resolve, reject, crashes: 0 });
      void this.sent(send, id);
    });
  }

  /** Gives up what is open in a slot. */
  giveWay(slot: string): void {
    for (const each of [...this.open.values()]) {
      if (each.slot !== slot) continue;
      this.open.delete(each.id);
      this.worker?.post({ type: 'drop', id: each.id });
      each.reject(new Superseded());
    }
    this.unwatch();
  }

  private async sent(send: () => Promise<void>, id: number): Promise<void> {
    try {
      this.watch();
      await send();
    } catch (error) {
      this.fail(id, error instanceof Error ? error.message : String(error));
    }
  }

  private running(): WorkerLike {
    if (!this.worker) {
      const worker: WorkerLike = this.options.start({
        onMessage: (message) => {
          if (this.worker === worker) this.hear(message);
        },
        onCrash: () => {
          if (this.worker === worker) this.crashed();
        },
      });
      this.worker = worker;
      this.unanswered = 0;
    }
    return this.worker;
  }

  private post(message: ToWorker): void {
    this.running().post(message);
  }

  private tellFacts(facts: HomeFacts): void {
    if (this.told === facts) return;
    const key = keyOf(facts);
    if (this.told?.home.id === facts.home.id) {
      this.post({ type: 'changes', from: keyOf(this.told), key, changes: changesBetween(this.told, facts) });
    } else {
      this.post({ type: 'facts', key, facts });
      this.home = null;
    }
    this.told = facts;
  }

  private async withFiles(facts: HomeFacts): Promise<void> {
    const wanted = [
      ...facts.weathers.map(({ fileKey }) => ({ fileKey, kind: 'weather-hours' as const })),
      ...facts.photometries.map(({ fileKey }) => ({ fileKey, kind: 'intensities' as const })),
    ].filter(({ fileKey }) => !this.files.has(fileKey));
    for (const { fileKey, kind } of wanted) {
      const text = await this.options.load(facts.home.id, fileKey, kind);
      this.post({ type: 'file', kind, fileKey, text });
      this.files.add(fileKey);
    }
  }

  private hear(message: FromWorker): void {
    this.unanswered = 0;
    if (message.type === 'pong') return;
    const asked = this.open.get(message.id);
    if (!asked) return;
    if (message.type === 'share') {
      asked.onShare?.(message.share);
      if (message.interim) asked.onInterim?.(message.interim);
      return;
    }
    if (message.type === 'failed') {
      this.fail(message.id, message.message);
      return;
    }
    this.open.delete(message.id);
    this.unwatch();
    asked.resolve(this.valueOf(message) as never);
  }

  private valueOf(message: Extract<FromWorker, { type: 'answer' | 'delta' | 'read' }>): unknown {
    if (message.type === 'read') return message.outcome;
    if (message.type === 'delta') return this.keepHome(message.id, this.patched(message.delta));
    const { answer, id } = message;
    return isHomeAnswers(answer) ? this.keepHome(id, answer) : answer;
  }

  private patched(delta: HomeAnswersDelta): HomeAnswers {
    return withDelta(this.home!.answers, delta);
  }

  private keepHome(id: number, answers: HomeAnswers): HomeAnswers {
    this.home = { id, answers };
    return answers;
  }

  private fail(id: number, message: string): void {
    const asked = this.open.get(id);
    this.open.delete(id);
    this.unwatch();
    asked?.reject(new Error(message));
  }

  /** Starts over with a new worker; what is open is asked again, unless it stopped workers before. */
  private crashed(): void {
    this.worker?.stop();
    this.worker = null;
    this.told = null;
    this.home = null;
    this.files.clear();
    for (const asked of [...this.open.values()]) {
      asked.crashes += 1;
      if (asked.crashes >= MOST_CRASHES) this.fail(asked.id, 'The computation stopped and could not be started again.');
      else void this.sent(asked.send, asked.id);
    }
  }

  private watch(): void {
    if (this.pings) return;
    // While nothing was open it was not expected to say anything.
    this.unanswered = 0;
    this.pings = setInterval(() => {
      if (this.unanswered >= UNANSWERED) this.crashed();
      else {
        this.unanswered += 1;
        this.worker?.post({ type: 'ping' });
      }
    }, PING_MS);
  }

  private unwatch(): void {
    if (this.open.size > 0 || !this.pings) return;
    clearInterval(this.pings);
    this.pings = null;
  }
}

const isHomeAnswers = (answer: unknown): answer is HomeAnswers =>
  typeof answer === 'object' && answer !== null && 'plants' in answer && 'spots' in answer && 'year' in answer;
