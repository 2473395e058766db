export { door, isFromHere } from './door';
export { createKeys, type Keys } from './keys';
export { listenForPhones, type PhoneLine } from './listener';
export { pairedDevicesOf, type PairedDevices } from './paired';
export { removedDevicesAt } from './removed';
export { pairedRoutes, pairRoutes, MOST_WRONG, type Phones } from './routes';
