import { twist } from '$lib/server/api/twist';
import { answering } from '$lib/server/http';

export const POST = answering(twist);
