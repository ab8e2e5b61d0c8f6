const { transformSync } = require('esbuild');
const { createHash } = require('node:crypto');

// Minimal transformer: esbuild strips the types (tsc checks them); inline source maps for stacks.
module.exports = {
  getCacheKey: (src, file) => createHash('sha1').update(src).update('\0').update(file).update('\0v4').digest('hex'),
  process: (src, file) => ({
    code: transformSync(src, {
      loader: /\.m?jsx?$/.test(file) ? 'jsx' : file.endsWith('x') ? 'tsx' : 'ts',
      jsx: 'automatic',
      define: { 'process.env.EXPO_OS': '"web"' },
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: file,
      supported: { 'dynamic-import': false }, // jest runs CommonJS: import() becomes a require
    }).code,
  }),
};
