/** What each page is for, in one sentence: search engines and shared links show it under the page's title. */
export const DESCRIPTIONS: Readonly<Record<string, string>> = {
	'/': 'All your spools, cut open to one scale: what is on each, its gap, and what is due.',
	'/bench': 'The jobs that wait at the bench.',
	'/bench/[id]': 'Wind a spool step by step, with the turns to go and the depth to stop at.',
	'/bench/[id]/past': 'Earlier windings of a set-up, each beside its plan.',
	'/bench/[id]/sheet': 'A job on one sheet of paper: what to lay out, where to stop, which knots.',
	'/care': 'What is due and what was done, for every line and backing.',
	'/care/plan': 'What to do before a day on the water, by how long it takes.',
	'/fit/[id]': 'How much backing fits under a fly line, and when to stop winding it.',
	'/help/[[page]]': 'How to do each job with Wendle, and what the words mean.',
	'/knots': 'Knots for backing, line and leader, chosen by what you join and how.',
	'/knots/[slug]': 'A knot stage by stage, in words and pictures, for either hand.',
	'/knots/practise': 'Practise the knots of your set-ups until you know them.',
	'/label': 'Labels for several spools, printed true to size.',
	'/label/[id]': 'The label of a spool, printed true to size.',
	'/label/coil': 'The label of a line on a coil, printed true to size.',
	'/learnt': 'What your windings have taught Wendle about your spools, lines and hands.',
	'/match': 'Every spool beside every line: which go together, and how much backing they take.',
	'/spool/[id]': 'What is on a spool, its history, and what can be done with it.',
	'/swap': 'Take a line off a spool and put another on.',
	'/twist': 'What moving a line does to its twist, and how to get twist out.',
	'/unreadable/[table]/[id]': "An entry that Wendle can't read, and how to put it right."
};
