/** Calendar files, written and read: apart from the rest, since the packages for it are large. */
export * from './out';
export * from './taken';
