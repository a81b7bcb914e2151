import pino from 'pino';

/** The log of the server; `MULCH_LOG` sets how much it says. */
export const log = pino({ level: process.env.MULCH_LOG ?? 'info' });
