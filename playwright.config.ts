import { defineConfig, devices } from '@playwright/test';
import { LAUNCH } from './scripts/chromium.mjs';

const reports = process.env['WENDLE_REPORTS'];

export default defineConfig({
	testDir: 'e2e',
	timeout: 180_000,
	expect: { timeout: 20_000 },
	// Two servers and two browsers are what two cores carry.
	workers: 2,
	// No second tries: a test that fails for once has found something.
	retries: 0,
	fullyParallel: true,
	forbidOnly: Boolean(process.env['CI']),
	outputDir: 'test-results',
	reporter: reports ? [['list'], ['json', { outputFile: `${reports}/browser.json` }]] : 'list',
	use: {
		...devices['Desktop Chrome'],
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		serviceWorkers: 'block',
		trace: 'retain-on-failure',
		launchOptions: LAUNCH
	}
});
