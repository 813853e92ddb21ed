import { answering } from '$lib/server/answering';

export const POST = answering('twist');
