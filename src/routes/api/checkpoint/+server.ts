import { answerCheckpoint } from '$lib/schema/ask-answer';
import { CheckpointRequest } from '$lib/schema/ask-api';
import { answering } from '$lib/server/http';

export const POST = answering(CheckpointRequest, answerCheckpoint);
