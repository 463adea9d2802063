/** Workers do not run in component tests: the core's own engine stands in, its answers coming a turn later as a worker's do. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine } from '@dulvan/core';
import { questionsOf, type Questions } from '../workers/questions';

export const engine = new HomeEngine(knowledge);

type Later<T> = {
  [Name in keyof T]: T[Name] extends (...given: infer Given) => infer Told ? (...given: Given) => Promise<Told> : never;
};

const later = (questions: Questions) =>
  Object.fromEntries(
    Object.entries(questions).map(([name, ask]) => [
      name,
      (...given: never[]) => Promise.resolve((ask as (...given: never[]) => unknown)(...given)),
    ]),
  ) as Later<Questions>;

const service = later(questionsOf(engine));

export const answerService = () => service;
