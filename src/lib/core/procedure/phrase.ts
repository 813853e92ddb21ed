/** A piece of an instruction: words, or a quantity that the interface shows in the person's units. */
export type Phrase =
	| string
	| { longMm: number }
	| { toCutMm: number }
	| { leaderMm: number }
	| { smallMm: number }
	| { turns: number };
export type Sentence = readonly Phrase[];

export const CAUTIONS = {
	leaflet: "How to turn a reel round differs from maker to maker. Follow your reel's leaflet.",
	'no-fly': "Take the fly off while you wind. Moving line and hooks don't mix.",
	blades: 'Cut away from yourself.',
	'thin-braid': 'Thin braid under tension cuts. Wear a glove, or tape the fingers that guide it.',
	drill:
		'With a drill or a machine, use low speed and light tension, and keep sleeves and hair away. A running line burns.',
	adhesive:
		"With UV resin and superglue, follow the label, wear gloves, open a window, and don't look into the lamp. Superglue bonds skin.",
	stretch:
		'A tight line trips people, dogs and cyclists, and can snap back. Choose an empty place, protect your eyes, and have someone keep watch.',
	needle: 'A needle slips. Push it against a cork or the table, never toward a finger.',
	wire: 'Wire ends scratch and spring up. Protect your eyes, and keep every offcut.',
	flame:
		'Keep a flame or hot air away from line, resin and children, and let everything cool before you touch it.',
	wading: "Stand where you know the bottom. Don't wade for a line.",
	below: "Make sure that nobody and no wires are below, and don't lean out.",
	scraps: 'Take every scrap of line home.'
} as const;
export type Caution = keyof typeof CAUTIONS;
