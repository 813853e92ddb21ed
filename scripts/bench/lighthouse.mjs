import lighthouse, { desktopConfig } from 'lighthouse';
import { launch } from 'puppeteer-core';
import { CHROMIUM, LAUNCH } from '../chromium.mjs';

/** What a view is judged by, in the order in which it is said. */
const CATEGORIES = /** @type {const} */ (['performance', 'accessibility', 'best-practices', 'seo']);

/**
 * Lighthouse's marks for some views, on a phone and on a desk. They depend on what else the machine does: run it on an idle one.
 *
 * @param {string} base @param {readonly string[]} paths @param {(what: string, figure: string, aim?: string) => void} say
 */
export async function lighthouseFigures(base, paths, say) {
	const browser = await launch({ executablePath: CHROMIUM, args: LAUNCH.args });
	try {
		for (const path of paths)
			for (const [device, config] of /** @type {const} */ ([
				['phone', undefined],
				['desk', desktopConfig]
			])) {
				const page = await browser.newPage();
				const result = await lighthouse(
					base + path,
					{ onlyCategories: [...CATEGORIES], logLevel: 'silent' },
					config,
					page
				);
				await page.close();
				if (!result) throw new Error(`Lighthouse said nothing of ${path}`);
				const { categories, audits } = result.lhr;
				const marks = CATEGORIES.map((of) => Math.round(100 * (categories[of]?.score ?? NaN)));
				const shift = audits['cumulative-layout-shift']?.numericValue ?? NaN;
				say(
					`Lighthouse, ${device}, ${path.replace(/[0-9a-f-]{36}/, '…')}`,
					`${marks.join(' / ')}, shift ${shift.toFixed(3)}`,
					'aim: 95 / 100 / 100 / 100, 0'
				);
				if (process.env['WENDLE_WHY'])
					for (const { id, score, title } of Object.values(audits))
						if (score !== null && score < 0.9) console.log(`   ${id} ${score}: ${title}`);
			}
	} finally {
		await browser.close();
	}
}
