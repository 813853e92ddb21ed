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
			'drill-hand': {
				label: 'Drill for the backing, hand for the line',
				buys: 'Fast where nothing can be spoilt, and you feel the line go on.'
			},
			table: { label: 'Bare table', buys: 'Needs nothing at all; slow, and the reel has to be held.' }
		}
	},
	tension: {
		title: 'What gives the tension',
		usual: 'fingers',
		ways: {
			fingers: { label: 'Fingers', buys: 'You feel every knot and slack place; tires and can burn.' },
			knees: {
				label: 'Between the knees',
				buys: 'Squeezes the supply, needs nothing and frees both hands; harder to keep even.'
			},
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
	supply: {
		title: 'Which way the supply turns',
		usual: 'same',
		ways: {
			same: { label: 'The same way as the reel', buys: 'The coils keep the set they have.' },
			either: { label: 'Either way', buys: 'Stands wherever there is room; a stiff line springs a little.' }
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
			'stopper-first': {
				label: 'Stopper first, then the overhand',
				buys: 'The stopper is tied on the table, where you see it; one knot less on the arbor.'
			},
			'stopper-doubled': {
				label: 'Overhand and doubled stopper',
				buys: 'The stopper is too thick to slip through the overhand.'
			},
			doubled: {
				label: 'Doubled overhand, doubled stopper',
				buys: 'Bites harder in thin or slippery backing.'
			},
			uni: { label: 'Uni type', buys: 'Slides down tight and holds well; 4–5 turns to tie.' },
			'uni-overhand': {
				label: 'A uni, then an overhand',
				buys: "The tag can't work loose; a little more that sticks up from the arbor."
			},
			noose: {
				label: 'Noose',
				buys: 'A slipped loop, drawn down on the arbor: the quickest; with more turns round it, it holds better.'
			},
			hole: {
				label: 'Through a hole in the arbor',
				buys: "Can't slip, whichever backing you use; only where the arbor has a hole or a post."
			},
			'spool-loop': {
				label: 'Loop over the spool',
				buys: 'Tied away from the spool; comes off again whole. Open cages only.'
			}
		}
	},
	nailKnot: {
		title: 'Nail knots tied with',
		usual: 'tool',
		ways: {
			tool: { label: 'A tube or a tool', buys: 'The wraps lie side by side almost by themselves.' },
			fingers: {
				label: 'Fingers only',
				buys: 'Nothing to carry: the wraps go through a hoop of the strand itself; takes some practice.'
			}
		}
	},
	albright: {
		title: 'Wraps of an Albright',
		usual: 'safe',
		ways: {
			safe: { label: '8–12', buys: 'Holds for sure, in salt water and with sinking lines too.' },
			slim: { label: '4–5', buys: 'Slimmer, and quieter in the guides; has to be drawn up well.' }
		}
	},
	runningLoop: {
		title: "The running line's rear loop",
		usual: 'small',
		ways: {
			small: { label: 'Small', buys: "The backing's loop has to let the whole coil through." },
			large: {
				label: 'Large, from the factory',
				buys: 'A reel or a coil passes through it, so a small loop in the backing will do. Check which end is the rear.'
			}
		}
	},
	newLine: {
		title: 'How a new line goes on',
		usual: 'coil',
		ways: {
			coil: { label: 'From its coil', buys: 'Indoors, alone, on a chair.' },
			stretched: {
				label: 'Stretched out and walked on',
				buys: 'No twist at all from the start, and no memory of the coil; needs a lawn or a path as long as the line.'
			}
		}
	},
	swapPlace: {
		title: 'Where lines are swapped',
		usual: 'table',
		ways: {
			table: { label: 'At a table', buys: 'Storage spool and hub turn, so no twist comes in.' },
			water: {
				label: 'In a boat or at the roadside',
				buys: 'Bare hands, and a hat or a bucket for the coils; some twist comes in, and goes out at home.'
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
