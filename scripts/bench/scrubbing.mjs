/** Frames a second while a knot is scrubbed from its first stage to its last, and the work of a frame. */
import { chromium } from '@playwright/test';
import { LAUNCH } from '../chromium.mjs';

/** The usual ones, and those with the most to draw. */
const KNOTS = ['nail-knot?wraps=10', 'surgeons-loop-two?wraps=3', 'own-loop?wraps=9', 'uni-arbor'];
const FRAMES = 150;

/** @param {string} base @param {(what: string, figure: string, aim?: string) => void} say */
export async function scrubbingFigures(base, say) {
	const browser = await chromium.launch(LAUNCH);
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		for (const path of KNOTS) {
			await page.goto(`${base}/knots/${path}`);
			await page.waitForLoadState('networkidle');
			const { frame, slow, work } = await page.evaluate(async (frames) => {
				const slider = /** @type {HTMLInputElement} */ (document.querySelector('input[type=range]'));
				/** @type {number[]} */
				const gaps = [];
				/** @type {number[]} */
				const works = [];
				await new Promise((done) => {
					let last = performance.now();
					const next = (/** @type {number} */ now) => {
						gaps.push(now - last);
						last = now;
						if (gaps.length > frames) return done(undefined);
						const began = performance.now();
						slider.value = String(1 + ((Number(slider.max) - 1) * gaps.length) / frames);
						slider.dispatchEvent(new Event('input', { bubbles: true }));
						// What the event brought about is done by the next microtask.
						queueMicrotask(() => works.push(performance.now() - began));
						requestAnimationFrame(next);
					};
					requestAnimationFrame(next);
				});
				const at = (/** @type {number[]} */ all, /** @type {number} */ q) =>
					[...all].sort((a, b) => a - b)[Math.floor(q * (all.length - 1))] ?? NaN;
				return { frame: at(gaps, 0.5), slow: at(gaps, 0.95), work: at(works, 0.5) };
			}, FRAMES);
			say(
				`a knot scrubbed, ${path}: a frame, 95 %, and its work`,
				`${frame.toFixed(1)}, ${slow.toFixed(1)}, ${work.toFixed(1)} ms`,
				'60 a second: 16.7 ms'
			);
		}
	} finally {
		await browser.close();
	}
}
