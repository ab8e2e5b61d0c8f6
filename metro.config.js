// How the application is bundled. The first screen waits for all that the stack brings, so what is never used of it is left out.
const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);
const slim = path.join(__dirname, 'scripts/react-native-web.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (platform !== 'web') return context.resolveRequest(context, name, platform);
  if (/^react-native(-web(\/dist\/index)?)?$/.test(name)) return { type: 'sourceFile', filePath: slim };
  if (/\/components\/Animated(Flat|Section)List$/.test(name)) return { type: 'empty' }; // lists that move by themselves, with all of lists
  return context.resolveRequest(context, name, platform);
};
config.transformer.minifierPath = require.resolve('./scripts/minify.js');
module.exports = config;
