import type { WordedIssue } from '$lib/wording/issues';

/** What is wrong with an entry, in words: the first place, and how many more there are. */
export function problemText(issues: readonly WordedIssue[]): string {
	const [first] = issues;
	if (!first) return 'Wendle can read it now.';
	const where = first.path.length > 0 ? `${first.path.join(' › ')}: ` : '';
	const more = issues.length > 1 ? ` ${issues.length - 1} more like this.` : '';
	return `${where}${first.message}${more}`;
}
