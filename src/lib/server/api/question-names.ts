/** What can be asked of the API with a body that writes nothing, by the address under `/api`. */
export const QUESTION_NAMES = [
	'checkpoint',
	'choose-knot',
	'contrast',
	'correct',
	'cuts',
	'enough',
	'estimate',
	'fit',
	'half-fit',
	'line',
	'match',
	'methods',
	'reverse-fill',
	'risk',
	'runout',
	'shared-backing',
	'twist'
] as const;
export type QuestionName = (typeof QUESTION_NAMES)[number];
