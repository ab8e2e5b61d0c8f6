// What mutation testing runs: the unit tests in node that stand in the folder whose code is changed.
const { projects } = require('../jest.config.js');

module.exports = {
  ...projects[0],
  rootDir: process.cwd(),
  testMatch: [`<rootDir>/${process.env.MUTATED_FOLDER}/**/*.test.ts`],
};
