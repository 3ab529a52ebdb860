/** The channel of the database on which servers tell each other of what devices handed in. */
export const READINGS_CHANNEL = 'bunkhouse_readings';
