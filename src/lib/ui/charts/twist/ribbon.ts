/** A piece of line with a stripe painted along it, as it looks when it is twisted. */
export interface StripedLine {
	/** Where the stripe is in front: a path for each time it comes round. */
	readonly stripes: readonly string[];
	/** How often it comes round on the whole piece. */
	readonly turns: number;
}

const POINTS = 10;

/**
 * The stripe on a line of `width` by `height` that stands for `metres` of it, with so many turns a metre; positive is a
 * right-handed screw, which runs downward to the right in front. Without twist it runs along the middle.
 */
export function stripedLine(perMetre: number, metres: number, width: number, height: number): StripedLine {
	const turns = Math.abs(perMetre) * metres;
	const at = (angle: number): string => {
		const x = turns === 0 ? 0 : (angle / (2 * Math.PI * turns)) * width;
		// Screen y grows downward: in front a right-handed screw goes down as it goes on.
		const y = height / 2 + Math.sign(perMetre || 1) * (height / 2) * Math.sin(angle);
		return `${x.toFixed(2)} ${y.toFixed(2)}`;
	};
	if (turns < 1e-6) return { stripes: [`M0 ${height / 2}L${width} ${height / 2}`], turns: 0 };
	const stripes: string[] = [];
	// In front while the cosine is above 0: half a turn about every whole one.
	for (let k = 0; k <= Math.ceil(turns); k++) {
		const from = Math.max(0, 2 * Math.PI * k - Math.PI / 2);
		const to = Math.min(2 * Math.PI * turns, 2 * Math.PI * k + Math.PI / 2);
		if (to <= from) continue;
		stripes.push(
			Array.from({ length: POINTS + 1 }, (_, i) => at(from + ((to - from) * i) / POINTS))
				.map((point, i) => `${i === 0 ? 'M' : 'L'}${point}`)
				.join('')
		);
	}
	return { stripes, turns };
}
