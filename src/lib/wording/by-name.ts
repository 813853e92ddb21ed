/** Names as people order them: Hut 2 comes before Hut 10. */
export const byName = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });
