import { DateFormatter } from '@internationalized/date';

const days = new DateFormatter('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A day as people write it: 3 Apr 2026. */
export const showDay = (date: Date): string => days.format(date);
