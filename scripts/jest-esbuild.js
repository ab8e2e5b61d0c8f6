const { transformSync } = require('esbuild');
const { createHash } = require('node:crypto');

// Minimal transformer: esbuild strips the types (tsc checks them); inline source maps for stacks.
module.exports = {
  getCacheKey: (src, file) => createHash('sha1').update(src).update('\0').update(file).update('\0v1').digest('hex'),
  process: (src, file) => ({
    code: transformSync(src, {
      loader: file.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: file,
    }).code,
  }),
};
