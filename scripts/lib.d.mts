/** The first free port from the wanted one on. */
export function freePort(wanted: number): Promise<number>;
/** Seeds the demo scenario into a new database file, which must not exist yet. */
export function seedDemo(file: string): Promise<void>;
