/** A knot that is told in words: drawn, it would promise more than a picture of it can keep. */
export interface DescribedKnot {
	readonly slug: string;
	readonly name: string;
	readonly joins: string;
	readonly why: string;
	readonly steps: readonly string[];
}

/** Common practice. */
export const DESCRIBED: readonly DescribedKnot[] = [
	{
		slug: 'bimini',
		name: 'Bimini twist',
		joins: 'A long loop in backing at nearly its full strength, for big fish; more than trout need.',
		why: 'Twists under turns under tension: a still picture shows neither which turn bites nor when. Learn it beside someone who ties it.',
		steps: [
			'Fold 4–5 ft of backing, hold the two ends in one hand, and turn the fold with the other hand: 20 twists.',
			'Put the loop over a knee or a peg. Pull the two ends apart, so that the twists are pushed up tight against each other.',
			'Keep the standing part taut in line with the twists. Ease the short end round to a right angle: as the loop is spread, it rolls back over the twists, turn beside turn, down to the fork of the loop.',
			'Pinch the fork. A half hitch with the short end round one strand of the loop, close to the turns, holds them.',
			'Then three or four turns of the short end round both strands, back toward the turns, its end out between; moisten, draw up snug, trim.'
		]
	},
	{
		slug: 'swivel-tied',
		name: 'Swivel, tied on both sides',
		joins: 'Two strands with a swivel between them: trolled lines, wire, anything that spins.',
		why: 'The knot is the uni that is drawn for the arbor, tied through an eye; what is new is the swivel.',
		steps: [
			'Lead the end through the eye of the swivel, twice through in thin braid, and lay it back along the standing part.',
			'Wrap 5 turns through the loop that makes, as for the uni on the arbor. Moisten, draw the wraps together, slide them down to the eye.',
			'Do the same on the other side. Pull on both strands: the swivel has to turn between the knots.'
		]
	}
];

export const findDescribed = (slug: string): DescribedKnot | undefined =>
	DESCRIBED.find((knot) => knot.slug === slug);
