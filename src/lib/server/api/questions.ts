import { corrected, enough, fit, halfFitted, methods, paused, reverseFilled, risk, runout } from './answers';
import { knotFor } from './choose-knot';
import { estimated } from './estimate';
import { contrast, cuts, line, match, shared } from './line-answers';
import { twist } from './twist';
import type { Question } from './question';
import type { QuestionName } from './question-names';

/** Everything that can be asked of the API. */
const QUESTIONS = {
	checkpoint: paused,
	'choose-knot': knotFor,
	contrast: contrast,
	correct: corrected,
	cuts: cuts,
	enough: enough,
	estimate: estimated,
	fit: fit,
	'half-fit': halfFitted,
	line: line,
	match: match,
	methods: methods,
	'reverse-fill': reverseFilled,
	risk: risk,
	runout: runout,
	'shared-backing': shared,
	twist: twist
} satisfies Record<QuestionName, unknown>;

/** What can be asked under a name, whatever its shapes. */
export const questionAt = (name: QuestionName): Question => QUESTIONS[name] as unknown as Question;
