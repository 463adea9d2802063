/**
 * A worker's side of the talk: holds facts and files, answers one question after the other in steps, and listens between
 * them.
 */
import { knowledge } from '@dulvan/catalogue';
import {
  AttachmentShelf,
  HomeEngine,
  answerSteps,
  applied,
  type AnswerOf,
  type HomeAnswers,
  type HomeFacts,
  type QuestionName,
  type Working,
} from '@dulvan/core';
import { readEpw, readIntensities, readLamp, readWeatherHours } from '@dulvan/formats';
import { deltaOf, type Asking, type FromWorker, type ToWorker } from './protocol';

/** Facts under so many keys are held: those of the page and of what it tries. */
const FACTS_HELD = 6;

/** Steps run this long before what came meanwhile is heard. */
const LISTEN_AFTER_MS = 24;

type Read = Extract<ToWorker, { type: 'read' }>;

export class Answering {
  private readonly shelf = new AttachmentShelf();
  private readonly engine = new HomeEngine(knowledge, this.shelf);
  private readonly facts = new Map<string, HomeFacts>();
  private readonly waiting: (Asking | Read)[] = [];
  private readonly dropped = new Set<number>();
  private lastHome: { readonly id: number; readonly answers: HomeAnswers } | null = null;
  private busy = false;

  /**
   * @param tell sends a message to the page
   * @param breathe lets messages in between two steps
   * @param loadSolver loads what joint plans are solved with, the first time one is asked for
   */
  constructor(
    private readonly tell: (message: FromWorker) => void,
    private readonly breathe: () => Promise<void>,
    private readonly now: () => number = () => performance.now(),
    private readonly loadSolver: () => Promise<HomeEngine['solver']> = () => Promise.resolve(null),
  ) {}

  hear(message: ToWorker): void {
    switch (message.type) {
      case 'facts':
        return this.hold(message.key, message.facts);
      case 'changes': {
        const before = this.facts.get(message.from);
        const after = before ? applied(before, message.changes) : null;
        if (after) this.hold(message.key, after);
        return;
      }
      case 'file':
        return this.keepFile(message);
      case 'ping':
        return this.tell({ type: 'pong' });
      case 'drop':
        this.dropped.add(message.id);
        return;
      default:
        this.waiting.push(message);
        void this.work();
    }
  }

  private hold(key: string, facts: HomeFacts): void {
    this.facts.delete(key);
    this.facts.set(key, facts);
    if (this.facts.size > FACTS_HELD) this.facts.delete(this.facts.keys().next().value!);
  }

  private keepFile({ kind, fileKey, text }: Extract<ToWorker, { type: 'file' }>): void {
    if (kind === 'weather-hours') {
      const read = readWeatherHours(text);
      if (read.ok) this.shelf.putHours(fileKey, read.value);
    } else {
      const read = readIntensities(text);
      if (read.ok) this.shelf.putIntensities(fileKey, read.value);
    }
  }

  private async work(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    for (let next = this.waiting.shift(); next; next = this.waiting.shift()) {
      if (!this.dropped.delete(next.id)) await this.answerOne(next);
    }
    this.busy = false;
  }

  private async answerOne(message: Asking | Read): Promise<void> {
    try {
      if (message.type === 'read') {
        const outcome = message.kind === 'epw' ? readEpw(message.text) : readLamp(message.text);
        this.tell({ type: 'read', id: message.id, outcome });
        return;
      }
      const facts = this.facts.get(message.factsKey);
      if (!facts) throw new Error('The facts of this question are not here.');
      if (message.question === 'plan') this.engine.solver ??= await this.loadSolver();
      const answer = await this.run(message, answerSteps(this.engine, facts, message.question, message.params));
      if (answer !== DROPPED) this.send(message, answer);
    } catch (error) {
      this.tell({ type: 'failed', id: message.id, message: error instanceof Error ? error.message : String(error) });
    }
  }

  /** Runs steps, letting messages in between; stops between two of them when the question is dropped. */
  private async run(
    { id }: Asking,
    steps: Working<AnswerOf<QuestionName>>,
  ): Promise<AnswerOf<QuestionName> | typeof DROPPED> {
    let heard = this.now();
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (this.now() - heard < LISTEN_AFTER_MS) continue;
      const { value } = step;
      this.tell(typeof value === 'number' ? { type: 'share', id, share: value } : { type: 'share', id, ...value });
      await this.breathe();
      if (this.dropped.delete(id)) return DROPPED;
      heard = this.now();
    }
  }

  private send({ id, question, since }: Asking, answer: AnswerOf<QuestionName>): void {
    if (question !== 'home') {
      this.tell({ type: 'answer', id, answer });
      return;
    }
    const answers = answer as HomeAnswers;
    const before = this.lastHome;
    this.lastHome = { id, answers };
    if (before && before.id === since)
      this.tell({ type: 'delta', id, delta: deltaOf(before.id, before.answers, answers) });
    else this.tell({ type: 'answer', id, answer });
  }
}

const DROPPED = Symbol('dropped');
