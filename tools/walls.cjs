const { ROOMS, FLOORS } = require('./house.cjs');

const escaped = (text) => text.replace(/[/.]/g, '\\$&');

/** A room as a pattern of paths: a folder, less the rooms within it that the list names on their own. */
function roomIn(list, root) {
  return (room) => {
    const inner = list.filter((one) => one.startsWith(`${room}/`)).map((one) => escaped(one.slice(room.length + 1)));
    return `^${root}/${escaped(room)}${inner.length > 0 ? `(?!/(?:${inner.join('|')})(?:/|[.]))` : ''}(?:/|[.]tsx?$)`;
  };
}

/** Each room of a list may import from those before it only. */
function inOrder(list, root) {
  const room = roomIn(list, root);
  return list.slice(0, -1).map((one, index) => ({
    name: `${one} stands before this`,
    severity: 'error',
    from: { path: room(one) },
    to: {
      path: list
        .slice(index + 1)
        .map(room)
        .join('|'),
    },
  }));
}

const anyRoom = ROOMS.map(roomIn(ROOMS, 'core/src')).join('|');
const apart = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    ...inOrder(ROOMS, 'core/src'),
    ...inOrder(FLOORS, 'app/src'),
    {
      name: 'screens stand apart',
      severity: 'error',
      from: { path: '^app/src/screens/([^/]+)/' },
      to: { path: '^app/src/screens/', pathNot: '^app/src/screens/$1/' },
    },
    {
      name: 'a floor that is not in the list',
      severity: 'error',
      from: {},
      to: { path: '^app/src/', pathNot: [...FLOORS, 'fixtures'].map((floor) => `^app/src/${floor}/`).join('|') },
    },
    {
      name: 'nothing at the root of core',
      severity: 'error',
      from: {},
      to: { path: '^core/src/[^/]+$', pathNot: '^core/src/index[.]ts$' },
    },
    apart('nothing imports the door', '^core/src/.+/', '^core/src/index[.]ts$'),
    {
      name: 'a room that is not in the list',
      severity: 'error',
      from: {},
      to: { path: '^core/src/.+/', pathNot: anyRoom },
    },
    apart('core knows nobody', '^core/', '^(app|server|e2e|bench|prove)/'),
    apart('the app does not know the server', '^app/', '^server/'),
    apart('the server does not know the app', '^server/', '^app/'),
    { name: 'no circle', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(node_modules|dist|[.]cache)/|[.]test[.]tsx?$|/fixtures/' },
    tsPreCompilationDeps: true,
    combinedDependencies: false,
    // with the repository as its base: without one, what begins with @/ stays unresolved and no screen is ever at fault
    tsConfig: { fileName: require.resolve('./walls.tsconfig.json') },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js'],
    },
  },
};
