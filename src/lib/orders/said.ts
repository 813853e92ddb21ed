import { findMaterial, formatLineClass } from '$lib/core';
import { showDay, showWeekday } from '$lib/wording/dates';
import type { Said } from './wish';

/** What a stretch of a wish says, as its label and its value; `note` where a person should look at it. */
export interface SaidWords {
	readonly label: string;
	readonly value: string;
	readonly note?: string;
}

const materialName = (slug: string): string => {
	const found = findMaterial(slug);
	return found.ok ? found.value.short : slug;
};

function reelWords({ name, spoolId }: Extract<Said, { what: 'reel' }>): SaidWords {
	if (spoolId !== undefined) return { label: 'Reel', value: name };
	return { label: 'Reel', value: name, note: 'new to Wendle: describe it on Fit' };
}

/** What was understood, in words. */
export function saidWords(said: Said, locale: string): SaidWords {
	switch (said.what) {
		case 'line':
			return {
				label: 'Line',
				value: formatLineClass(said.line),
				...(said.assumed !== undefined && { note: said.assumed })
			};
		case 'head':
			return { label: 'Head', value: said.length === undefined ? said.mass : `${said.mass}, ${said.length}` };
		case 'backing':
			return {
				label: 'Backing',
				value: materialName(said.material),
				...(said.assumed !== undefined && { note: said.assumed })
			};
		case 'hand':
			return { label: 'Hand', value: said.hand === 'left' ? 'left-hand wind' : 'right-hand wind' };
		case 'gap':
			return { label: 'Gap', value: said.gap };
		case 'leader':
			return { label: 'Leader', value: said.leader };
		case 'due':
			return { label: 'Due', value: `${showWeekday(said.day, locale)}, ${showDay(said.day, locale)}` };
		case 'reel':
			return reelWords(said);
	}
}
