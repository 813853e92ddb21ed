import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { request as httpRequest } from 'node:http';
import { expect, open, test } from './server';

const OWNERS = 'grayling under the bridge';
const BENCHES = 'two handfuls of chenille';

const put = (url: string, role: string, passcode: string | null, cookie = ''): Promise<Response> =>
	fetch(`${url}/api/access/passcodes/${role}`, {
		method: 'PUT',
		headers: { 'content-type': 'application/json', cookie },
		body: JSON.stringify({ passcode })
	});
async function cookieFor(url: string, passcode: string): Promise<string> {
	const reply = await fetch(`${url}/api/session`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ passcode })
	});
	return reply.headers.get('set-cookie')?.split(';')[0] ?? `refused with ${reply.status}`;
}
async function isOpenToAll(page: Page): Promise<void> {
	const { violations } = await new AxeBuilder({ page })
		.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
		.analyze();
	expect(violations.map(({ id, nodes }) => `${page.url()} ${id}: ${nodes[0]?.html}`)).toEqual([]);
}

/** What is answered to a host, which fetch would not let us name. */
const asHost = (url: string, host: string, method = 'GET'): Promise<number> =>
	new Promise((settle, fail) => {
		httpRequest(url, { method, headers: { host } }, (reply) => {
			reply.resume();
			reply.once('end', () => settle(reply.statusCode!));
		})
			.once('error', fail)
			.end();
	});

test('a passcode is set on the page, asked for from then on, and decides what may be done', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/data`);
	await page.getByRole('link', { name: 'Passcodes and devices' }).click();
	await expect(page.getByRole('heading', { name: 'Who may come in' })).toBeVisible();
	await expect(page.getByLabel('Passcode of the bench')).toBeDisabled();
	await page.getByLabel('Passcode of the owner').fill('short');
	await page.getByRole('button', { name: 'Set passcode' }).first().click();
	await expect(page.getByText('at least 8')).toBeVisible();
	await page.getByLabel('Passcode of the owner').fill(OWNERS);
	await page.getByRole('button', { name: 'Set passcode' }).first().click();

	// From here on it is asked for, of this browser too.
	await expect(page).toHaveURL(/\/sign-in/);
	await isOpenToAll(page);
	await page.getByLabel('Passcode').fill('perch and pike');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByText("That isn't a passcode of this Wendle.")).toBeVisible();
	await page.getByLabel('Passcode').fill(OWNERS);
	await page.getByLabel(/What this device is called/).fill('kitchen table');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('heading', { name: 'Who may come in' })).toBeVisible();
	await expect(page.getByText('kitchen table').first()).toBeVisible();
	await isOpenToAll(page);

	for (const [role, passcode] of [
		['bench', BENCHES],
		['viewer', 'reading glasses on']
	] as const) {
		await page.getByLabel(`Passcode of the ${role}`).fill(passcode);
		await page.getByRole('button', { name: 'Set passcode' }).first().click();
		await expect(page.getByLabel(`New passcode of the ${role}`)).toBeVisible();
	}

	const [owner, bench, viewer] = await Promise.all(
		[OWNERS, BENCHES, 'reading glasses on'].map((one) => cookieFor(demo.url, one))
	);
	const status = (method: string, path: string, cookie = ''): Promise<number> =>
		fetch(demo.url + path, {
			method,
			redirect: 'manual',
			headers: { cookie, 'content-type': 'application/json' },
			...(method !== 'GET' && { body: '{}' })
		}).then(({ status: code }) => code);
	expect(await status('GET', '/')).toBe(303);
	expect(await status('GET', '/api/orders')).toBe(401);
	expect(await status('GET', '/', viewer)).toBe(200);
	expect(await status('POST', '/api/orders', viewer)).toBe(403);
	expect(await status('POST', '/api/orders', bench)).toBe(422);
	expect(await status('GET', '/data', bench)).toBe(303);
	expect(await status('GET', '/api/access', bench)).toBe(403);
	expect(await status('GET', '/api/access', owner)).toBe(200);
	expect(await status('POST', '/api/fit', viewer)).toBe(422);

	// Signed out everywhere, and nobody is in any more.
	await page.reload();
	await expect(page.getByRole('cell', { name: 'Set the passcode of a role' }).first()).toBeVisible();
	await page.getByRole('button', { name: 'Sign out everywhere' }).click();
	await expect(page).toHaveURL(/\/sign-in/);
	for (const cookie of [owner, bench, viewer]) expect(await status('GET', '/', cookie)).toBe(303);
});

test('a passcode is not to be guessed, and a token reaches what it is for, until it is revoked', async ({
	demo
}) => {
	expect((await put(demo.url, 'bench', BENCHES)).status).toBe(422);
	expect((await put(demo.url, 'owner', OWNERS)).status).toBe(204);
	const cookie = await cookieFor(demo.url, OWNERS);
	const made = await fetch(`${demo.url}/api/access/tokens`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', cookie },
		body: JSON.stringify({ name: 'calendar at home', scope: 'calendar' })
	});
	const { id, secret } = (await made.json()) as { id: string; secret: string };
	const calendar = () =>
		fetch(`${demo.url}/calendar.ics?token=${secret}`, { redirect: 'manual' }).then(({ status }) => status);
	expect(await calendar()).toBe(200);
	const bearer = { headers: { authorization: `Bearer ${secret}` } };
	expect((await fetch(`${demo.url}/calendar.ics`, bearer)).status).toBe(200);
	expect((await fetch(`${demo.url}/api/orders`, bearer)).status).toBe(403);
	await fetch(`${demo.url}/api/access/tokens/${id}`, { method: 'DELETE', headers: { cookie } });
	expect(await calendar()).toBe(303);

	const tries: string[] = [];
	for (let i = 0; i < 7; i++) tries.push(await cookieFor(demo.url, `${OWNERS} ${i}`));
	expect(tries.slice(0, 5)).toEqual(Array(5).fill('refused with 403'));
	expect(tries.slice(5)).toEqual(Array(2).fill('refused with 429'));
	// The right one waits as well.
	expect(await cookieFor(demo.url, OWNERS)).toBe('refused with 429');
	// A restart signs nobody out.
	await demo.restart();
	expect((await fetch(demo.url, { redirect: 'manual', headers: { cookie } })).status).toBe(200);
});

test('a page elsewhere neither reads nor writes, and every answer says what browsers may do with it', async ({
	demo
}) => {
	expect(await asHost(demo.url, 'elsewhere.example')).toBe(421);
	expect(await asHost(`${demo.url}/wendle.svg`, 'elsewhere.example')).toBe(421);
	expect(await asHost(`${demo.url}/api/place`, 'elsewhere.example', 'PUT')).toBe(421);
	const write = await fetch(`${demo.url}/api/lists/undo`, {
		method: 'POST',
		headers: { origin: 'http://elsewhere.example' }
	});
	expect(write.status).toBe(403);
	for (const path of ['/', '/wendle.svg', '/api/orders', '/nothing-here']) {
		const { headers } = await fetch(demo.url + path);
		expect(headers.get('x-content-type-options'), path).toBe('nosniff');
		expect(headers.get('content-security-policy'), path).toContain("frame-ancestors 'none'");
		expect(headers.get('cross-origin-opener-policy'), path).toBe('same-origin');
		expect(headers.get('permissions-policy'), path).toContain('camera=(self)');
		expect(headers.get('strict-transport-security'), path).toBeNull();
	}
	const html = await (await fetch(demo.url)).text();
	expect(html.match(/<script(?![^>]*\bnonce=)[^>]*>/g)).toBeNull();
	expect(html).not.toMatch(/<[^>]+\son\w+="/);
});

test('it speaks https with a certificate of its own, and says how a phone comes to trust it', async ({
	browser,
	demo
}) => {
	await demo.stop('SIGTERM');
	demo.env['WENDLE_HTTPS'] = '1';
	await demo.start();
	const url = demo.url.replace('http:', 'https:');
	const context = await browser.newContext({
		ignoreHTTPSErrors: true,
		viewport: { width: 390, height: 844 }
	});
	const page = await context.newPage();
	await open(page, `${url}/trust`);
	// Not the address that only this computer can open.
	await expect(page.getByText(/^https:\/\/(?!127\.)[^/]+\/trust$/)).toBeVisible();
	await isOpenToAll(page);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Download the certificate' }).click();
	expect((await download).suggestedFilename()).toBe('wendle.crt');
	// What a page writes is taken as coming from here, over https too.
	await open(page, `${url}/data`);
	await page.getByLabel('Address that people use').fill(`${url}`);
	await page.getByRole('button', { name: 'Save the address' }).click();
	await expect(page.getByText('Labels and tickets now lead to this address.')).toBeVisible();
	await context.close();
});
