import { isLoopback, nameIn } from './hosts';

/** How the server is started, from the environment. */
export interface Settings {
	readonly host: string;
	readonly port: number;
	readonly data: string;
	/** Speaks https, with a certificate of its own. */
	readonly https: boolean;
	/** A passcode may go over a network unprotected: the person said so. */
	readonly insecure: boolean;
	/** Where people reach it, where something stands in front of it. */
	readonly origin: string | undefined;
	/** Names and addresses beside this machine's own under which it is reached, without ports. */
	readonly hosts: readonly string[];
	/** Browsers may be told to use nothing but https from now on: only with a public certificate in front. */
	readonly hsts: boolean;
	/** Reached from this computer alone. */
	readonly loopback: boolean;
}

const isSet = (value: string | undefined): boolean => value !== undefined && !['', '0', 'no'].includes(value);

export function settingsFrom(env: Readonly<Record<string, string | undefined>>): Settings {
	const host = env['HOST'] || '127.0.0.1';
	const origin = env['ORIGIN'] || undefined;
	return {
		host,
		port: Number(env['PORT'] || 3000),
		data: env['WENDLE_DATA'] || 'data',
		https: isSet(env['WENDLE_HTTPS']),
		insecure: isSet(env['WENDLE_INSECURE']),
		origin,
		hosts: [
			...(env['WENDLE_HOSTS'] ?? '').split(/[\s,]+/).filter(Boolean),
			...(origin ? [new URL(origin).host] : []),
			...(isLoopback(host) || ['0.0.0.0', '::'].includes(host) ? [] : [host])
		].map(nameIn),
		hsts: isSet(env['WENDLE_HSTS']) && origin !== undefined && origin.startsWith('https:'),
		loopback: isLoopback(host)
	};
}

/** Why the server must not be started so; undefined when it may. @param hasPasscode whether whoever comes in is asked for one */
export function refusalOf(settings: Settings, hasPasscode: boolean): string | undefined {
	const { loopback, https, insecure, origin } = settings;
	if (!Number.isInteger(settings.port) || settings.port < 0 || settings.port > 65_535)
		return 'PORT is no port. Give a number from 0 to 65535.';
	if (!loopback && !hasPasscode)
		return 'HOST lets other devices in, and no passcode is set, so anybody on the network could read and change everything. Set one first: npm run passcode';
	if (!loopback && !https && !insecure && !origin?.startsWith('https:'))
		return 'A passcode would cross the network readable for anybody on it. Start with https: npm start -- --https (or, if you accept that: npm start -- --insecure)';
	return undefined;
}
