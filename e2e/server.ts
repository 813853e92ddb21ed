import { expect, test as base, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fillDemo, fillOrders } from '../build/tools/fill-demo.js';

async function freePort(): Promise<number> {
	const probe = createServer().listen(0, '127.0.0.1');
	await once(probe, 'listening');
	const { port } = probe.address() as AddressInfo;
	probe.close();
	await once(probe, 'close');
	return port;
}

/** Waits until a server says that it listens; one that ends instead has failed. */
function listening(server: ChildProcess): Promise<void> {
	return new Promise((settle, fail) => {
		let said = '';
		const hear = (text: Buffer): void => {
			said += text.toString();
			if (said.includes('Listening on')) settle();
		};
		server.stdout!.on('data', hear);
		server.once('exit', (code) => fail(new Error(`the server did not start, and ended with ${code}`)));
	});
}

/** The built application with data of its own, that a test may stop and start again. */
export class Server {
	readonly data = mkdtempSync(join(tmpdir(), 'wendle-'));
	url = '';
	/** What else the server's environment says: its time zone, say. */
	env: Record<string, string> = {};
	#port = 0;
	#process: ChildProcess | undefined;
	#complaints = '';

	/** What it has written into its log of failures. */
	complaints = (): string => this.#complaints;

	async start(): Promise<void> {
		this.#port ||= await freePort();
		this.url = `http://127.0.0.1:${this.#port}`;
		this.#process = spawn(process.execPath, ['build/index.js'], {
			env: {
				...process.env,
				HOST: '127.0.0.1',
				PORT: String(this.#port),
				WENDLE_DATA: this.data,
				...this.env
			},
			stdio: ['ignore', 'pipe', 'pipe', 'ipc']
		});
		this.#process.stderr!.on('data', (text: Buffer) => {
			this.#complaints += text.toString();
			process.stderr.write(text);
		});
		await listening(this.#process);
	}

	/** SIGKILL is a plug pulled; SIGTERM a polite stop that must end the process by itself. */
	async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGKILL'): Promise<void> {
		const running = this.#process;
		if (!running || running.exitCode !== null || running.signalCode !== null) return;
		running.kill(signal);
		await once(running, 'exit');
	}

	/** Tells what runs inside the server beside it, and waits until that is so. */
	async tell(what: object): Promise<void> {
		const heard = once(this.#process!, 'message');
		this.#process!.send(what);
		await heard;
	}

	async restart(): Promise<void> {
		await this.stop();
		await this.start();
	}

	fillDemo = (): Promise<boolean> => fillDemo(this.data);
	fillOrders = (): Promise<boolean> => fillOrders(this.data);
}

export const test = base.extend<{ server: Server; demo: Server; hosts: string }>({
	/** Names beside its own that the server answers to. */
	hosts: ['', { option: true }],
	server: async ({ hosts }, use) => {
		const server = new Server();
		server.env = { WENDLE_HOSTS: hosts };
		await server.start();
		await use(server);
		await server.stop();
		rmSync(server.data, { recursive: true, force: true });
	},
	/** The same, filled with the demo's kit room. */
	demo: async ({ server }, use) => {
		await server.fillDemo();
		await use(server);
	},
	baseURL: async ({ server }, use) => {
		await use(server.url);
	}
});

export { expect } from '@playwright/test';

/** Opens a page and waits until its keys and clicks are heard. */
export async function open(page: Page, path: string): Promise<void> {
	await page.goto(path);
	if (/^\/(fit|bench)\/[^/]+$/.test(path)) await page.locator('[data-ready]').waitFor();
	else await page.locator('html[data-alive]').waitFor();
}

/** The set-up of a spool of the kit room, on Fit. */
export async function fitOf(page: Page, spool: string): Promise<string> {
	await open(page, '/');
	return `/fit/${await page.locator(`[data-spool="${spool}"]`).getAttribute('data-setup')}`;
}

/** The bench of a spool of the kit room; the sinker's job has its first six steps done. */
export async function toBench(page: Page, spool = 'Tarn reel B, sinker'): Promise<string> {
	const bench = (await fitOf(page, spool)).replace('/fit/', '/bench/');
	await open(page, bench);
	return bench;
}

/** Says that the step in hand is done; and that its strand is all on, where that is asked. */
export async function stepDone(page: Page): Promise<void> {
	await page.getByRole('button', { name: /^Done, next/ }).click();
	const yes = page.getByRole('button', { name: 'Yes, go to the next step' });
	if (await yes.isVisible()) await yes.click();
}

/** Goes through the steps in hand, doing what is to be done where there is something. */
export async function through(
	page: Page,
	doing: Readonly<Record<string, () => Promise<void>>> = {}
): Promise<string[]> {
	const titles: string[] = [];
	const title = page.locator('#step-title');
	await expect(title).toBeVisible();
	while ((await title.count()) > 0) {
		const now = (await title.textContent())!.trim();
		titles.push(now);
		for (const [part, act] of Object.entries(doing)) if (now.includes(part)) await act();
		await stepDone(page);
		await expect(page.locator('#step-title, #record-title')).not.toHaveText(now);
	}
	return titles;
}
/** One of the four answers as a number in the shown unit. */
export async function answer(page: Page, name: 'stop-depth' | 'length' | 'turns' | 'gap'): Promise<number> {
	const text = await page.locator(`[data-answer="${name}"]`).innerText();
	return Number(/-?[\d.]+/.exec(text.replace('−', '-'))?.[0]);
}

/**
 * Waits until everything on a page of Fit is saved; the version that was saved. A test that changes something and asks again
 * has seen this save, not the one before: the state leaves "saved" with the change itself.
 */
export async function saved(page: Page): Promise<number> {
	const note = page.locator('[data-save]');
	await expect(note).toHaveAttribute('data-save', 'saved');
	return Number(await note.getAttribute('data-version'));
}

/** Lets a page draw so many times: whatever moves by itself has moved by then. */
export const frames = (page: Page, count: number): Promise<void> =>
	page.evaluate(async (left) => {
		while (left-- > 0) await new Promise((drawn) => requestAnimationFrame(drawn));
	}, count);

/** Holds what is asked of an address back until it is let go. */
export async function hold(page: Page, address: string): Promise<() => void> {
	let letGo = (): void => {};
	const held = new Promise<void>((resolve) => (letGo = resolve));
	await page.route(address, async (route) => {
		await held;
		await route.continue();
	});
	return letGo;
}
