const { createContext } = require('react');

/**
 * In place of the router's own stacks and tabs, which this app has none of: its screens stand in one slot, and the bar of places is
 * its own. They would be a tenth of the first script.
 */
const none = () => ({ Navigator: () => null });

exports.createNativeStackNavigator = none;
exports.createBottomTabNavigator = none;
exports.BottomTabBarHeightContext = createContext(undefined);
