/** A thread of the pool: TypeScript is made readable, then the questions are answered. */
const { register } = require('tsx/cjs/api');

register();
module.exports = require('./asking.ts').answerTo;
