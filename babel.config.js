module.exports = function (api) {
  const testing = api.env('test');
  // Neither library is imported (both are peers of the router); without this their Babel plugins run on every file.
  return {
    presets: [['babel-preset-expo', { worklets: false, reanimated: false }]],
    // Jest runs CommonJS: import() becomes a require there.
    plugins: testing ? ['@babel/plugin-transform-dynamic-import', '@babel/plugin-transform-modules-commonjs'] : [],
  };
};
