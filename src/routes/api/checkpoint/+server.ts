import { answerCheckpoint } from '$lib/server/api/ask-answer';
import { CheckpointRequest } from '$lib/server/api/ask';
import { answering } from '$lib/server/http';

export const POST = answering(CheckpointRequest, answerCheckpoint);
