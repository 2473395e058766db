/** Modules that must run before anything of them is asked for. */
const AT_ONCE = ['expo', 'expo-asset'];

/**
 * In a bundle a module runs when something of it is first used, not when it is named: a page stands before most of
 * them have run. What asks where its own script is must be run by that script itself.
 */
const runsWhenUsed = (source) => !AT_ONCE.includes(source) && !source.endsWith('/getBundleUrl');

module.exports = (api) => {
  const isBundled = api.caller((caller) => caller?.name === 'metro');
  return {
    presets: [['babel-preset-expo', isBundled ? { lazyImports: runsWhenUsed } : {}]],
    plugins: ['react-native-paper/babel'],
  };
};
