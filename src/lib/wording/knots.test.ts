import { expect, it } from 'vitest';
import { showTakes } from './knots';

it.each([
	['nail-knot', '254 mm of backing, mono, or leader, and 25 mm of line'],
	['surgeons-loop', '610 mm of backing or mono, or 254 mm of leader'],
	['double-uni', '254 mm of backing, mono, or line'],
	['own-loop', '610 mm of mono, and 102 mm of line'],
	['uni-arbor', '457 mm of backing'],
	['loop-to-loop', '']
] as const)('%s takes %s', (slug, says) => {
	expect(showTakes(slug, 'm-mm')).toBe(says);
});
it('says it in the units chosen', () => {
	expect(showTakes('uni-arbor', 'yd-in')).toBe('18.0 in of backing');
});
