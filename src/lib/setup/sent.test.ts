import { deflateSync, strToU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { newComponent, newSetup } from './presets';
import { packSetup, readSent, toSend } from './sent';
import type { SetupForm } from './form';

function spey(): SetupForm {
	const form = newSetup();
	form.spool.name = 'Łosoś "long", 12½ ft';
	form.fill.stack.push(
		newComponent('tip', 'tip', { way: 'class', class: { taper: 'WF', number: 9, density: 'S' } })
	);
	form.fill.stack[0]!.kept = 'a strand of my rack';
	return form;
}

describe('a set-up that is sent', () => {
	it('comes out as it went in, but for the strands of the sender', () => {
		const form = spey();
		for (const text of [
			packSetup(form),
			`http://192.0.2.7:4173/fit/new?setup=${packSetup(form)}`,
			`  ${packSetup(form)}\n`,
			JSON.stringify(form)
		])
			expect(readSent(text)).toEqual(toSend(form));
		expect(JSON.stringify(readSent(packSetup(form)))).not.toContain('my rack');
	});
	it('fits into one code that a phone reads', () => {
		// A QR code of version 40 at its lowest correction takes 2953 bytes (ISO/IEC 18004, table 7); half of it still reads well.
		expect(packSetup(spey()).length).toBeLessThan(1400);
	});
	it('that is none, is cut off, or would not end is refused', () => {
		const code = packSetup(spey());
		const bomb = btoa(String.fromCharCode(...deflateSync(strToU8('{"spool":"' + 'a'.repeat(9e6) + '"}'))))
			.replaceAll('+', '-')
			.replaceAll('/', '_');
		for (const text of [
			'',
			'hello',
			code.slice(0, 100),
			'{"spool":{}}',
			'[1]',
			bomb,
			`?setup=${code.slice(9)}`
		])
			expect(readSent(text), text.slice(0, 40)).toBeUndefined();
	});
});
