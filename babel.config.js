module.exports = function (api) {
  api.cache(true);
  // Neither library is imported (both are peers of the router); without this their Babel plugins run on every file.
  return { presets: [['babel-preset-expo', { worklets: false, reanimated: false }]] };
};
