const { defineConfig, globalIgnores } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier/flat');
const voice = require('./scripts/voice-rule.js');

// app -> screens -> ui, workers -> store -> formats -> words -> core. Each folder may import only what stands to its right.
const above = {
  core: ['app', 'screens', 'ui', 'store', 'workers', 'server', 'demo', 'words', 'formats'],
  words: ['app', 'screens', 'ui', 'store', 'workers', 'server', 'demo', 'formats'],
  formats: ['app', 'screens', 'ui', 'store', 'workers', 'server', 'demo'],
  workers: ['app', 'screens', 'ui', 'server', 'demo'],
  store: ['app', 'screens', 'ui', 'workers', 'server', 'demo'],
  ui: ['app', 'screens', 'store', 'workers', 'server', 'demo'],
  demo: ['app', 'screens', 'ui', 'workers', 'server'],
  server: ['app', 'screens', 'ui', 'store', 'workers'],
  screens: ['app', 'server'],
};
// The rooms of core in the order of the data: each may import only from those before it.
const rooms =
  'units maths water gauge colour swing tackle sight lies rules cast showing advice logbook cover answer learn plan practice testing'.split(
    ' ',
  );
const framework = ['react', 'react-*', 'expo*', '@react-native*', '@tanstack/*', 'express', 'node:*'];
const oneWay = (folder, group) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.{ts,tsx}', '**/*.testing.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [{ group, message: `${folder}/ may not import what stands above it (see docs/decisions.md)` }] },
    ],
  },
});
const outside = (folders) => folders.flatMap((f) => [`@/${f}/*`, `**/../${f}/*`]);
const direction = [
  ...Object.entries(above).map(([folder, folders]) =>
    oneWay(folder, [...outside(folders), ...(['core', 'words', 'formats'].includes(folder) ? framework : [])]),
  ),
  ...rooms.map((room, i) =>
    oneWay(`core/${room}`, [
      ...outside(above.core),
      ...framework,
      ...rooms.slice(i + 1).flatMap((r) => [`../${r}`, `../${r}/*`, `@/core/${r}`, `@/core/${r}/*`]),
    ]),
  ),
];

const ofReact = expo.flatMap(({ rules }) => Object.keys(rules ?? {})).filter((rule) => rule.startsWith('react'));

module.exports = defineConfig([
  globalIgnores(['dist/', 'dist-below/', 'build/', 'coverage/', 'test-results/', '.expo/', 'public/']),
  expo,
  prettier,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': 'off', // the compiler finds them
      'no-console': ['error', { allow: ['warn', 'error'] }],
      'import/no-named-as-default-member': 'off', // fast-check is read best as fc.property
      // The compiler of TypeScript finds the same; these read every module anew for it (typescript-eslint, performance).
      ...{ 'import/namespace': 'off', 'import/no-named-as-default': 'off', 'import/no-unresolved': 'off' },
      ...{ 'import/export': 'off', '@typescript-eslint/no-redeclare': 'off' },
    },
  },
  ...direction,
  {
    files: ['core/**/*.ts', 'words/**/*.ts', 'formats/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'navigator'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core/ takes a seed' },
        { object: 'Date', property: 'now', message: 'core/ takes the time as an argument' },
      ],
    },
  },
  {
    files: ['words/**/*.ts', 'screens/**/*.{ts,tsx}', 'ui/**/*.{ts,tsx}', 'store/**/*.{ts,tsx}', 'formats/**/*.ts'],
    // A spreadsheet's headings are as their owner calls them.
    ignores: [
      '**/*.test.{ts,tsx}',
      '**/*.testing.{ts,tsx}',
      'formats/sheet/fields.ts',
      'screens/shared/ComponentsScreen.tsx',
    ],
    plugins: { wanderung: { rules: { voice } } },
    rules: { 'wanderung/voice': 'error' },
  },
  { files: ['server/**/*.ts', 'scripts/**', 'e2e/**', 'bench/**'], rules: { 'no-console': 'off' } },
  // Where no component of the program can stand, nothing is compiled as one.
  {
    files: [
      'core/**',
      'words/**',
      'formats/**',
      'demo/**',
      'server/**',
      'workers/**',
      'scripts/**',
      'e2e/**',
      'bench/**',
      'store/**/*.ts',
      'app/**',
      '*.js',
      '**/*.test.{ts,tsx}',
    ],
    rules: Object.fromEntries(ofReact.map((rule) => [rule, 'off'])),
  },
]);
