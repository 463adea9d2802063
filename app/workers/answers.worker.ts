/** Computes a home's answers off the main thread. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine } from '@dulvan/core';
import { expose } from 'comlink';
import { questionsOf } from './questions';

expose(questionsOf(new HomeEngine(knowledge)));
