import { pino } from 'pino';

/** One line of JSON for each request and each failure: no names, no addresses, nothing that was typed. */
const OPTIONS = {
	base: null,
	timestamp: pino.stdTimeFunctions.isoTime,
	formatters: { level: (level: string) => ({ level }) }
};

/** What happens. WENDLE_LOG says from which level on; `silent` for none. */
export const log = pino(
	{ ...OPTIONS, level: process.env['WENDLE_LOG'] || 'info' },
	pino.destination({ fd: 1, sync: true })
);
/** What fails, for whoever runs the server. */
export const failures = pino(OPTIONS, pino.destination({ fd: 2, sync: true }));
