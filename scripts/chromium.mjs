/** Debian's Chromium, and how it is started by the tests, the benchmarks and the pictures: no monitor, no calls home. */
export const CHROMIUM = '/usr/bin/chromium';

export const LAUNCH = {
	executablePath: CHROMIUM,
	args: [
		'--headless',
		'--no-sandbox',
		'--disable-gpu',
		'--disable-quic',
		'--no-first-run',
		'--disable-background-networking',
		'--disable-component-update',
		'--disable-sync'
	]
};
