const { transformSync } = require('esbuild');
const { createHash } = require('node:crypto');

/** As Jest runs it: CommonJS, where import() becomes a require. */
const FOR_JEST = {
  jsx: 'automatic',
  define: { 'process.env.EXPO_OS': '"web"' },
  format: 'cjs',
  target: 'node20',
  sourcemap: 'inline',
  supported: { 'dynamic-import': false },
};

// Minimal transformer: esbuild strips the types (tsc checks them); inline source maps for stacks.
module.exports = {
  FOR_JEST,
  getCacheKey: (src, file) => createHash('sha1').update(src).update('\0').update(file).update('\0v4').digest('hex'),
  process: (src, file) => ({
    code: transformSync(src, {
      ...FOR_JEST,
      loader: /\.m?jsx?$/.test(file) ? 'jsx' : file.endsWith('x') ? 'tsx' : 'ts',
      sourcefile: file,
    }).code,
  }),
};
