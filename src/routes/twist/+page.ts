import { twistQuestion } from '$lib/schema/twist-question';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ url }) => ({ question: twistQuestion(url.searchParams) });
