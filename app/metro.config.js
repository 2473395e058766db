const { getDefaultConfig } = require('expo/metro-config');
const http = require('node:http');

const config = getDefaultConfig(__dirname);
const api = { host: '127.0.0.1', port: Number(process.env.API_PORT ?? 8130) };

/** In development the app's own server hands /api on, so that the browser sees one origin. */
function handOn(req, res) {
  const target = http.request({
    ...api,
    path: req.url,
    method: req.method,
    headers: { ...req.headers, host: `${api.host}:${api.port}` },
  });
  target.on('response', (answer) => {
    res.writeHead(answer.statusCode, answer.headers);
    answer.pipe(res);
  });
  target.on('error', () => {
    res.statusCode = 502;
    res.end();
  });
  req.pipe(target);
}

config.server.enhanceMiddleware = (metro) => (req, res, next) =>
  req.url.startsWith('/api/') ? handOn(req, res) : metro(req, res, next);

const { getTransformOptions } = config.transformer;

/** Imports are written out by Babel, which lets a module run when it is first used. */
config.transformer.getTransformOptions = async (...args) => {
  const { transform, ...options } = await getTransformOptions(...args);
  return { ...options, transform: { ...transform, experimentalImportSupport: false } };
};

/** The router asks for stacks and tabs wherever it is: of those this app has none. */
const NAVIGATORS =
  /(?:native-stack\/createNativeStackNavigator|\/stack-utils|\/bottom-tabs|layouts\/Tabs|layouts\/experimental-stack)$/;
const NO_NAVIGATORS = require.resolve('./noNavigators.js');
const isNavigator = (from, name) => /[\\/]expo-router[\\/]build[\\/]/.test(from) && NAVIGATORS.test(name);

/**
 * What a gesture is comes in two kinds of modules, and each kind knows only the gestures that were registered with it: all
 * of it is taken in one kind.
 */
config.resolver.resolveRequest = (context, name, platform) => {
  if (isNavigator(context.originModulePath, name)) return { type: 'sourceFile', filePath: NO_NAVIGATORS };
  const isGesture = name.startsWith('@use-gesture/core');
  const conditions = isGesture ? [...context.unstable_conditionNames, 'module'] : context.unstable_conditionNames;
  return context.resolveRequest({ ...context, unstable_conditionNames: conditions }, name, platform);
};

module.exports = config;
