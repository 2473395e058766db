export interface Settings {
  host: string;
  port: number;
  file: string;
  appRoot: string;
  hosts: readonly string[];
  database?: {
    url: string;
    authToken?: string;
  };
}
/** The project's root, from the source as from the bundle beside it. */
export declare const HOME: string;
/**
 * The program's settings, from environment variables: HOST, PORT, KEEP_SNUG_DATA (the SQLite file), KEEP_SNUG_APP,
 * KEEP_SNUG_HOSTS (names it answers to besides this machine's own, with commas between), DATABASE_URL (any libSQL address)
 * and DATABASE_AUTH_TOKEN.
 */
export declare function readSettings(env: NodeJS.ProcessEnv): Settings;
/** Whether a name or address never leaves this machine. */
export declare function isLoopback(host: string): boolean;
