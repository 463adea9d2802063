/**
 * Laws are tried on the same drawn cases each time, so that a run can be repeated and what fails was broken by the
 * change at hand. `LAWS_SEED=any npx jest` draws others: for hunting.
 */
const fc = require('fast-check');

const given = process.env.LAWS_SEED;
fc.configureGlobal(given === 'any' ? {} : { seed: Number(given ?? 1) });
