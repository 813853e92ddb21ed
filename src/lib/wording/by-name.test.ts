import { expect, it } from 'vitest';
import { byName } from './by-name';

it('orders names with numbers as people do, whatever their capitals', () => {
	expect(['Hut 10', 'the warden', 'Hut 2', 'boat 3', 'Boat house'].sort(byName)).toEqual([
		'boat 3',
		'Boat house',
		'Hut 2',
		'Hut 10',
		'the warden'
	]);
});
