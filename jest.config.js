/** Projects: pure code in node without the React Native transform; components as they ship (react-native-web in jsdom). */
// Looked up in a test's own global object they cost four times as much as the swing itself.
const sandboxInjectedGlobals = ['Math', 'Float64Array', 'Float32Array', 'Array', 'Object', 'Number', 'JSON', 'Map'];
const alias = { '^@/(.*)$': '<rootDir>/$1' };
module.exports = {
  testTimeout: 60_000, // two cores may be busy
  projects: [
    {
      displayName: 'core',
      sandboxInjectedGlobals,
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,words,formats,store,server,demo,workers,screens,ui,scripts}/**/*.test.ts'],
      moduleNameMapper: {
        ...alias,
        '^@react-native-async-storage/async-storage$': '@react-native-async-storage/async-storage/jest',
      },
      transform: {
        '\\.test\\.ts$': '<rootDir>/scripts/jest-bundle.js',
        '^.+\\.(tsx?|m?js)$': '<rootDir>/scripts/jest-esbuild.js',
      },
      transformIgnorePatterns: ['/node_modules/(?!(d3-|internmap|@react-native-async-storage))'], // those come as ES modules only
    },
    {
      displayName: 'ui',
      preset: 'jest-expo/web',
      sandboxInjectedGlobals,
      // The stack's transform for files with tests only (it lifts mocks above the imports): on all it takes half of the time.
      transform: { '^(?!.*\\.test\\.tsx$).+\\.m?[jt]sx?$': '<rootDir>/scripts/jest-esbuild.js' },
      transformIgnorePatterns: [
        '/node_modules/(?!(react-native|@react-native|expo|@expo|react-navigation|@react-navigation|d3-|internmap|nanoid))',
      ],
      testMatch: ['<rootDir>/{ui,screens,store}/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-setup.js'],
      moduleNameMapper: {
        ...alias,
        '^react-native$': 'react-native-web',
        '^@react-native-async-storage/async-storage$': '@react-native-async-storage/async-storage/jest',
      },
    },
  ],
};
