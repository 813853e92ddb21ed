import { makeToken } from '$lib/server/access';
import { TokenAsked, TokenMade } from '$lib/inventory/access';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';

export const POST = writing(
	{
		summary: 'Make a token for a device or a program; its secret is told this once',
		body: TokenAsked,
		answer: TokenMade,
		status: 201
	},
	async (_, { name, scope }) => done(await makeToken(name, scope))
);
