import { readFileSync } from 'node:fs';
import { expect, fitOf, open, test } from './server';

test('a knot is chosen for a place, with reasons, and the question can be passed on', async ({ page }) => {
	await open(page, '/knots');
	const chooser = page.locator('[data-chooser]');
	const answer = chooser.locator('[data-answer]');
	await expect(answer).toHaveAttribute('data-answer', 'loop-to-loop');
	await chooser.getByLabel("The line's end").selectOption({ label: 'has none' });
	await chooser.getByLabel('Changed').selectOption({ label: 'never' });
	await expect(answer).toHaveAttribute('data-answer', 'nail-knot');
	await expect(chooser.locator('[data-cannot]')).toContainText('Make one first: a loop of your own.');
	await chooser.getByLabel('thin tube').uncheck();
	await chooser.getByLabel('stiff piece and fine mono').uncheck();
	await expect(answer).toHaveAttribute('data-answer', 'albright');
	await expect(chooser).toContainText('Needs no tool.');
	await chooser.getByLabel('Water').selectOption('salt');
	await expect(answer).toContainText('10 wraps');
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(answer).toHaveAttribute('data-answer', 'albright');
	await answer.click();
	await expect(page.getByRole('spinbutton', { name: 'wraps' })).toHaveValue('10');
	await page.goBack();
	await expect(answer).toHaveAttribute('data-answer', 'albright');
});

test('thicknesses are typed as they are read, and nonsense is told what to do', async ({ page }) => {
	await open(page, '/knots?place=tippet');
	const chooser = page.locator('[data-chooser]');
	await expect(chooser.locator('[data-answer]')).toHaveAttribute('data-answer', 'surgeons-join');
	const thin = chooser.getByRole('textbox', { name: 'Thinner one' });
	await thin.fill('0.25 mm');
	await chooser.getByLabel('It has to run smoothly').check();
	await expect(chooser.locator('[data-answer]')).toHaveAttribute('data-answer', 'blood-knot');
	await thin.fill('thin');
	await thin.blur();
	await expect(chooser).toContainText('Give a thickness, like 0.45 mm.');
	await thin.fill('0.01 in');
	await thin.blur();
	await expect(thin).toHaveValue('0.25 mm');
});

test('the arbor says why turns hold', async ({ page }) => {
	await open(page, '/knots?place=arbor&slick=yes');
	const hold = page.locator('[data-hold]');
	await expect(hold).toContainText('gel-spun on bare metal');
	// e^(0.1 · 2π · 2) = 3.5 for polyester, two turns.
	await expect(hold.getByRole('row', { name: /^2/ })).toContainText('3.5–9.6');
	await expect(page.locator('[data-answer]')).toHaveAttribute('data-answer', 'uni-arbor');
});

test('from a joint in the fit to its knot, and to others for the same joint', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, await fitOf(page, 'Tarn reel B, sinker'));
	await page.getByRole('button', { name: /^Edit the joint under/ }).click();
	const joint = page.locator('[data-joint-knots]').first();
	await expect(joint.getByRole('link', { name: /Nail knot/ })).toBeVisible();
	await page.getByLabel('Joint to the backing').selectOption({ label: 'Albright' });
	await expect(joint.getByRole('link', { name: /Albright/ })).toBeVisible();
	await joint.getByRole('link', { name: 'Another knot?' }).click();
	await expect(page.getByRole('combobox', { name: 'Where', exact: true })).toHaveValue('backing-line');
	// The ends of this set-up, not the usual ones.
	await expect(page).toHaveURL(/thick=/);
});

test('over the wire a question is answered, and a wrong one told what is wrong', async ({ server }) => {
	const ask = async (body: unknown) => {
		const reply = await fetch(`${server.url}/api/choose-knot`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
		return { status: reply.status, text: await reply.text() };
	};
	const { status, text } = await ask({ place: 'tippet', thinMm: 0.18, thickMm: 0.3 });
	expect(status).toBe(200);
	expect((JSON.parse(text) as { answers: { slug: string }[] }).answers[0]!.slug).toBe('surgeons-join');
	expect((await ask({ place: 'moon' })).status).toBe(422);
	expect((await ask({ place: 'tippet', thinMm: 0.5, thickMm: 0.2 })).status).toBe(422);
});

test('a knot is practised: right and wrong answers, kept, and due in time for the season', async ({
	page,
	server
}) => {
	await open(page, '/knots/practise?knot=overhand-stopper&seed=4');
	const trainer = page.locator('[data-trainer]');
	const outcome = page.locator('[data-outcome]');
	/** The pictures that can be picked. */
	const pictures = trainer.getByRole('listitem').getByRole('button');
	await expect(trainer).toHaveAttribute('data-trainer', 'next');
	await pictures.first().click();
	await expect(outcome).toBeVisible();
	await expect(trainer).toContainText('this one comes next');
	// An answer is an answer: another picture changes nothing.
	const said = await outcome.textContent();
	await expect(pictures.last()).toHaveAttribute('aria-disabled', 'true');
	await pictures.last().click({ force: true });
	await expect(outcome).toHaveText(said!);
	const first = (await outcome.getAttribute('data-outcome')) === 'true';
	await page.getByRole('button', { name: 'Go on' }).click();

	await expect(trainer).toHaveAttribute('data-trainer', 'order');
	const count = await pictures.count();
	await pictures.first().click();
	await expect(pictures.first()).toHaveAttribute('aria-pressed', 'true');
	// Undone, then tapped as the pictures stand on the page, which is never the order.
	await pictures.first().click();
	await expect(pictures.first()).toHaveAttribute('aria-pressed', 'false');
	for (let i = 0; i < count; i++) await pictures.nth(i).click();
	await expect(outcome).toHaveAttribute('data-outcome', 'false');
	await page.getByRole('button', { name: 'Go on' }).click();

	await expect(trainer).toHaveAttribute('data-trainer', 'wrong');
	await pictures.nth(1).click();
	await expect(trainer).toContainText('this one is wrong');
	const third = (await outcome.getAttribute('data-outcome')) === 'true';
	await server.stop();
	await page.getByRole('button', { name: 'Go on' }).click();
	await expect(trainer).toContainText("isn't saved yet");
	await server.start();
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(trainer).toContainText('This knot comes up again on');
	await expect(trainer.getByRole('heading')).toHaveText(`${Number(first) + Number(third)} of 3 right`);

	await page.getByRole('button', { name: 'Others' }).click();
	const progress = page.locator('[data-progress="overhand-stopper"]');
	await expect(progress).toContainText('once, remembered about 100 %');
	// A season that is near brings it forward; the day is kept.
	const day = (from: number) => new Date(Date.now() + from * 86_400_000).toISOString().slice(0, 10);
	await page.getByLabel('The day you next wind your spools').fill(day(30));
	await expect(page.getByText('at least a week before')).toBeVisible();
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(page.getByLabel('The day you next wind your spools')).toHaveValue(day(30));
	await expect(progress).toContainText('once');
});

test('a right answer says so', async ({ page }) => {
	await open(page, '/knots/practise?knot=nail-knot&seed=7');
	const trainer = page.locator('[data-trainer]');
	const pictures = trainer.getByRole('listitem').getByRole('button');
	await pictures.first().click();
	await page.getByRole('button', { name: 'Go on' }).click();
	// The first asked is told; this one is worked out: what comes next has its picture on the knot's own page.
	const count = await pictures.count();
	const drawn = await pictures.evaluateAll((all) =>
		all.map((one) =>
			[...one.querySelectorAll('[data-strand] path')].map((path) => path.getAttribute('d')).join()
		)
	);
	const order: number[] = [];
	for (let stage = 1; stage <= count; stage++) {
		const response = await page.request.get(`/knots/nail-knot?stage=${stage}&wraps=5`);
		const html = await response.text();
		// On its own page there are hands and arrows too: the strands are compared.
		const paths = await page.evaluate(
			(text) =>
				[
					...new DOMParser()
						.parseFromString(text, 'text/html')
						.querySelector('svg[data-knot]')!
						.querySelectorAll('[data-strand] path')
				]
					.map((path) => path.getAttribute('d'))
					.join(),
			html
		);
		order.push(drawn.indexOf(paths));
	}
	for (const i of order) await pictures.nth(i).click();
	await expect(page.locator('[data-outcome]')).toHaveText('Right.');
});

test('a picture and its file agree: the SVG of a stage holds its strands', async ({ page }) => {
	await open(page, '/knots/blood-knot?stage=5&wraps=5');
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'SVG' }).click()
	]);
	const text = readFileSync(await file.path(), 'utf8');
	const drawing = page.locator('[data-knot]').first();
	const [paths, words] = [await drawing.locator('path').count(), await drawing.locator('text').count()];
	expect(paths).toBeGreaterThan(10);
	// The words at the ends leave as outlines.
	expect(words).toBe(4);
	expect(text.match(/<path /g)).toHaveLength(paths + words);
	expect(text).toContain('stroke-width');
});
