// What mutation testing runs: the tests that stand in the folder whose code is changed, those in node or those of components.
const { projects, testTimeout } = require('../jest.config.js');

const components = process.env.MUTATED_BY === 'components';
const folder = process.env.MUTATED_FOLDER;
module.exports = {
  ...projects[components ? 1 : 0],
  // Said here, where it is looked for: the preset says it too late.
  ...(components && { testEnvironment: 'jsdom' }),
  // The store fetches its schemas when it first needs them; read beforehand they are no test's own.
  ...(folder === 'store' && !components && { setupFilesAfterEnv: ['<rootDir>/store/parsers.ts'] }),
  testTimeout,
  rootDir: process.cwd(),
  testMatch: [`<rootDir>/${folder}/**/*.test.${components ? 'tsx' : 'ts'}`],
};
