/**
 * Two browsers that are not Chromium, behind one small set of hands: Debian's Firefox by WebDriver BiDi, which it speaks itself, and
 * WebKit's by WebKitWebDriver. Elements are named by XPath, which both read.
 */
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { launch } from 'puppeteer-core';
import { answering } from '../serving.mjs';
import { Builder, By, Key, until } from 'selenium-webdriver';

/** How long something may take to show, ms. */
const PATIENCE_MS = 30_000;

/**
 * @typedef {object} Hands
 * @property {(url: string) => Promise<void>} open
 * @property {(xpath: string) => Promise<void>} press
 * @property {(xpath: string, text: string) => Promise<void>} type replaces what is in a field
 * @property {(xpath: string) => Promise<string>} read the text of an element, once it shows
 * @property {(xpath: string, keys: ('ArrowDown' | 'PageDown')[]) => Promise<void>} keys
 * @property {(script: string) => Promise<unknown>} evaluate
 * @property {(file: string) => Promise<void>} picture
 * @property {() => Promise<void>} close
 */

/** @returns {Promise<Hands>} */
export async function firefox() {
	const browser = await launch({
		browser: 'firefox',
		executablePath: '/usr/bin/firefox-esr',
		headless: true,
		// Nothing is asked of the network but the page.
		extraPrefsFirefox: { 'network.captive-portal-service.enabled': false, 'app.update.enabled': false }
	});
	const page = await browser.newPage();
	await page.setViewport({ width: 1280, height: 800 });
	page.setDefaultTimeout(PATIENCE_MS);
	const find = (/** @type {string} */ xpath) =>
		page.waitForSelector(`::-p-xpath(${xpath})`, { visible: true });
	return {
		open: async (url) => void (await page.goto(url)),
		press: async (xpath) => (await find(xpath))?.click(),
		type: async (xpath, text) => {
			const field = await find(xpath);
			await field?.evaluate((element) => /** @type {HTMLInputElement} */ (element).select());
			await field?.type(text);
			await page.keyboard.press('Tab');
		},
		read: async (xpath) => (await (await find(xpath))?.evaluate((element) => element.textContent)) ?? '',
		keys: async (xpath, keys) => {
			await (await find(xpath))?.evaluate((element) => /** @type {SVGElement} */ (element).focus());
			for (const key of keys) await page.keyboard.press(key);
		},
		evaluate: (script) => page.evaluate(script),
		picture: async (file) => void (await page.screenshot({ path: /** @type {`${string}.png`} */ (file) })),
		close: () => browser.close()
	};
}

/** Where WebKitWebDriver listens. */
const WEBKIT_PORT = 4195;

/** @returns {Promise<Hands>} */
export async function webkit() {
	// There is no monitor: it gets one of its own.
	const server = spawn(
		'xvfb-run',
		['-a', '-s', '-screen 0 1400x1000x24', 'WebKitWebDriver', `--port=${WEBKIT_PORT}`],
		{
			stdio: 'ignore',
			detached: true,
			env: { ...process.env, WEBKIT_DISABLE_COMPOSITING_MODE: '1', WEBKIT_FORCE_SANDBOX: '0' }
		}
	);
	const url = `http://127.0.0.1:${WEBKIT_PORT}`;
	const ended = new Promise((_, fail) => server.once('exit', () => fail(new Error('WebKitWebDriver ended'))));
	await Promise.race([answering(`${url}/status`), ended]);
	ended.catch(() => undefined);
	const driver = await new Builder()
		.usingServer(url)
		.withCapabilities({
			browserName: 'MiniBrowser',
			'webkitgtk:browserOptions': { args: ['--automation'] }
		})
		.build();
	await driver.manage().setTimeouts({ pageLoad: PATIENCE_MS, script: PATIENCE_MS });
	await driver.manage().window().setRect({ width: 1280, height: 900 });
	const find = async (/** @type {string} */ xpath) => {
		const element = await driver.wait(until.elementLocated(By.xpath(xpath)), PATIENCE_MS);
		await driver.wait(until.elementIsVisible(element), PATIENCE_MS);
		return element;
	};
	/** Asked of the page itself, which is quicker than asking the driver for each element. */
	const inPage = async (/** @type {string} */ xpath, /** @type {string} */ act) => {
		const script = `const element = document.evaluate(arguments[0], document, null, XPathResult.FIRST_ORDERED_NODE_TYPE).singleNodeValue;
			return element && element.getClientRects().length > 0 ? [${act}] : null;`;
		for (const began = Date.now(); Date.now() - began < PATIENCE_MS;) {
			const found = /** @type {unknown[] | null} */ (await driver.executeScript(script, xpath));
			if (found) return found[0];
			await pause(50);
		}
		throw new Error(`nothing shows at ${xpath}`);
	};
	return {
		open: (address) => driver.get(address),
		press: async (xpath) => void (await inPage(xpath, 'element.click()')),
		type: async (xpath, text) => {
			const field = await find(xpath);
			await field.clear();
			await field.sendKeys(text, Key.TAB);
		},
		read: async (xpath) => String(await inPage(xpath, 'element.textContent')),
		keys: async (xpath, keys) => {
			const element = await find(xpath);
			await driver.executeScript('arguments[0].focus()', element);
			const codes = { ArrowDown: Key.ARROW_DOWN, PageDown: Key.PAGE_DOWN };
			for (const key of keys) await driver.switchTo().activeElement().sendKeys(codes[key]);
		},
		evaluate: (script) => driver.executeScript(`return (${script})`),
		picture: async (file) => writeFileSync(file, await driver.takeScreenshot(), 'base64'),
		close: async () => {
			await driver.quit().catch(() => undefined);
			if (server.pid !== undefined) process.kill(-server.pid, 'SIGTERM');
		}
	};
}
