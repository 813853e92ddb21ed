import { defineConfig, devices } from '@playwright/test';

const reports = process.env['WENDLE_REPORTS'];

export default defineConfig({
	testDir: 'e2e',
	timeout: 60_000,
	expect: { timeout: 10_000 },
	// Two servers and two browsers are what two cores carry.
	workers: 2,
	fullyParallel: true,
	forbidOnly: Boolean(process.env['CI']),
	outputDir: 'test-results',
	reporter: reports ? [['list'], ['json', { outputFile: `${reports}/browser.json` }]] : 'list',
	use: {
		...devices['Desktop Chrome'],
		viewport: { width: 1280, height: 800 },
		serviceWorkers: 'block',
		trace: 'retain-on-failure',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
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
		}
	}
});
