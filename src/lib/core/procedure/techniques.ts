import { keys } from '../keys';

/**
 * Where people who do this well differ. Each way is supported, says what it buys, and one of each is the
 * usual. All of it common practice.
 */
interface Technique {
	readonly label: string;
	readonly buys: string;
}

export const TECHNIQUES = {
	water: {
		title: 'Water',
		usual: 'fresh',
		ways: {
			fresh: { label: 'Fresh water', buys: 'The usual number of wraps in a nail knot.' },
			salt: {
				label: 'Salt water',
				buys: 'More wraps, to hold stronger fish; rinse reel and backing after use.'
			}
		}
	},
	mount: {
		title: 'Where the reel sits',
		usual: 'butt',
		ways: {
			butt: { label: 'Rod butt', buys: 'A handle to hold, both hands near the line; nothing to buy.' },
			winder: { label: 'Winder', buys: 'Fast and even; one hand is free to guide.' },
			drill: {
				label: 'Drill and cup',
				buys: 'Very fast, for winding everything on twice; hard to feel the tension.'
			},
			table: { label: 'Bare table', buys: 'Needs nothing at all; slow, and the reel has to be held.' }
		}
	},
	tension: {
		title: 'What gives the tension',
		usual: 'fingers',
		ways: {
			fingers: { label: 'Fingers', buys: 'You feel every knot and slack place; tires and can burn.' },
			sitting: { label: 'Sitting on it', buys: 'Firm and hands-free; hard to keep the same throughout.' },
			helper: { label: 'A helper', buys: 'Even, with the supply on a pencil as an axle; takes two.' },
			drag: {
				label: "Another reel's drag",
				buys: 'The most even by hand; needs a second reel to start from.'
			},
			machine: {
				label: 'A machine',
				buys: 'The firmest lay, so most backing; keeps whatever twist there is.'
			}
		}
	},
	grip: {
		title: 'Under backing that slips',
		usual: 'tape',
		ways: {
			tape: { label: 'A layer of tape', buys: 'Quick, and takes almost no room.' },
			mono: { label: 'A bed of mono', buys: 'Grips for years and stays dry under it; one knot more.' },
			none: { label: 'Nothing', buys: 'Enough under polyester; gel-spun will slip on bare metal.' }
		}
	},
	arborKnot: {
		title: 'Knot on the arbor',
		usual: 'overhand',
		ways: {
			overhand: { label: 'Overhand and stopper', buys: 'Two plain knots that anyone remembers.' },
			doubled: { label: 'The same, doubled', buys: 'Bites harder in thin or slippery backing.' },
			uni: { label: 'Uni type', buys: 'Slides down tight and holds well; 4–5 turns to tie.' },
			'spool-loop': {
				label: 'Loop over the spool',
				buys: 'Tied away from the spool; comes off again whole. Open cages only.'
			}
		}
	},
	weldedLoop: {
		title: "The line's rear loop",
		usual: 'keep',
		ways: {
			keep: { label: 'Keep it', buys: 'Lines change in minutes, no tools.' },
			cut: {
				label: 'Cut it off',
				buys: 'A nail knot runs through the guides more cleanly; no quick change.'
			}
		}
	},
	frontLoop: {
		title: "The line's front loop",
		usual: 'keep',
		ways: {
			keep: { label: 'Keep it', buys: 'Leaders change in a minute, no tools.' },
			cut: {
				label: 'Cut it off',
				buys: 'A nail knot joins the leader more smoothly; each change costs a little line.'
			}
		}
	},
	tag: {
		title: 'Tag ends of the joints',
		usual: 'trim',
		ways: {
			trim: { label: 'Trimmed flush', buys: 'Nothing to catch in the guides.' },
			leave: {
				label: 'Left 3–6 mm',
				buys: 'You feel it pass in the guides; where the colours are alike you also see it, 30–40 ft out.'
			}
		}
	},
	gap: {
		title: 'Gap to leave',
		usual: 'little',
		ways: {
			clears: {
				label: 'Just clears',
				buys: 'The fullest spool and fastest retrieve; needs a level hand.',
				gapMm: 2.5
			},
			little: { label: 'A little space', buys: 'Room for uneven winding with a fish on.', gapMm: 4 },
			pencil: { label: 'A pencil', buys: 'Never rubs, whatever happens; retrieves more slowly.', gapMm: 7 }
		}
	}
} as const satisfies Record<
	string,
	{ title: string; usual: string; ways: Record<string, Technique & { gapMm?: number }> }
>;

export type TechniqueKey = keyof typeof TECHNIQUES;
export type Techniques = { readonly [K in TechniqueKey]: keyof (typeof TECHNIQUES)[K]['ways'] };
/** What was chosen; what was not is left to whoever is asked next. */
export type ChosenTechniques = { readonly [K in TechniqueKey]?: Techniques[K] | undefined };

// Marked pure, here and in remedies.ts: a page that needs none of it does not load it.
export const TECHNIQUE_KEYS = /* @__PURE__ */ keys(TECHNIQUES);
const among = <T>(pick: (key: TechniqueKey) => T): Record<TechniqueKey, T> =>
	Object.fromEntries(TECHNIQUE_KEYS.map((key) => [key, pick(key)])) as Record<TechniqueKey, T>;

export const USUAL_TECHNIQUES = among((key) => TECHNIQUES[key].usual) as Techniques;

/** The set-up's own choice where it has one, else the person's, else the usual. */
export const techniquesOf = (setup: ChosenTechniques, person: ChosenTechniques): Techniques =>
	among((key) => setup[key] ?? person[key] ?? USUAL_TECHNIQUES[key]) as Techniques;

/** The gap that a way of leaving room comes to, mm. */
export const gapOfTechnique = (way: Techniques['gap']): number => TECHNIQUES.gap.ways[way].gapMm;
