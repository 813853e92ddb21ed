/** A name to tell people apart by, however somebody wrote it. */
export const winderOf = (who: string): string => who.trim().toLocaleLowerCase('en');
