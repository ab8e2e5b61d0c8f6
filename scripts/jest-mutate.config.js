// What mutation testing runs: the tests that stand in the folder whose code is changed, those in node or those of components.
const { projects } = require('../jest.config.js');

const components = process.env.MUTATED_BY === 'components';
module.exports = {
  ...projects[components ? 1 : 0],
  // Said here, where it is looked for: the preset says it too late.
  ...(components && { testEnvironment: 'jsdom' }),
  rootDir: process.cwd(),
  testMatch: [`<rootDir>/${process.env.MUTATED_FOLDER}/**/*.test.${components ? 'tsx' : 'ts'}`],
};
