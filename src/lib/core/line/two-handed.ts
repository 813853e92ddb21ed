/**
 * Weights of two-handed lines, grains, by class and kind: the same number means another weight in each kind, and none of them the
 * single-hand one. Source: the two-handed line standard (AFFTA), from memory; a shooting head of #8 is 360 grains, a short belly 530.
 */
export const TWO_HANDED = {
	head: { label: 'shooting head', grains: { 6: 250, 7: 300, 8: 360, 9: 430, 10: 510, 11: 600 } },
	short: { label: 'short belly', grains: { 6: 420, 7: 470, 8: 530, 9: 600, 10: 680, 11: 770 } },
	medium: { label: 'medium belly', grains: { 6: 460, 7: 510, 8: 570, 9: 640, 10: 720, 11: 810 } },
	long: { label: 'long belly', grains: { 6: 540, 7: 590, 8: 650, 9: 720, 10: 800, 11: 890 } }
} as const satisfies Record<string, { label: string; grains: Record<number, number> }>;
