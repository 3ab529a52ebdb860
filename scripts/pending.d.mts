export function pendingMigrations(url: string): Promise<number>;
