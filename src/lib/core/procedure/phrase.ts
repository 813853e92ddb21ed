/** A piece of an instruction: words, or a quantity that the interface shows in the person's units. */
export type Phrase =
	string | { longMm: number } | { leaderMm: number } | { smallMm: number } | { turns: number };
export type Sentence = readonly Phrase[];

export const CAUTIONS = {
	leaflet: "Turning a reel round differs from maker to maker: follow your reel's leaflet.",
	'no-fly': 'No fly on while spooling: moving line and hooks do not mix.',
	blades: 'Cut away from yourself.',
	'thin-braid': 'Thin braid under tension cuts: glove or tape the fingers that guide it.',
	drill: 'Drill or machine: low speed, light tension, no loose sleeves or hair. A running line burns.',
	adhesive:
		'UV resin and superglue: follow the label, wear gloves, ventilate, do not look into the lamp; superglue bonds skin.',
	stretch:
		'A line pulled tight trips people, dogs and cyclists, and can snap back: an empty place, eyes guarded, someone on watch.',
	needle: 'A needle slips: push against a cork or the table, never toward a finger.',
	wire: 'Wire ends scratch and spring: guard your eyes, and keep every offcut.',
	flame: 'A flame or hot air: away from line, resin and children; let it cool before you touch it.',
	wading: 'Stand where you know the bottom; no wading for a line.',
	below: 'Nobody and no wires below; do not lean out.',
	scraps: 'Take every scrap of line home.'
} as const;
export type Caution = keyof typeof CAUTIONS;
