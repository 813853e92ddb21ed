import { z } from 'zod';
/** Who may do what. There are no user names: a passcode is a role. */

export const ROLES = ['viewer', 'bench', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** What a token is for: a device or a program that cannot type a passcode. */
export const SCOPES = ['counter', 'calendar', 'command-line', 'metrics'] as const;
export type Scope = (typeof SCOPES)[number];

export const PasscodeGiven = z.strictObject({
	passcode: z.string().max(1000),
	device: z.string().max(80).optional().meta({ description: 'What the owner sees this device called.' })
});
export const PasscodeSet = z.strictObject({
	passcode: z.string().max(1000).nullable().meta({ description: 'null takes it away.' })
});
export const TokenAsked = z.strictObject({ name: z.string().trim().min(1).max(60), scope: z.enum(SCOPES) });
export const TokenMade = z.object({
	id: z.string(),
	secret: z.string().meta({ description: 'Told this once.' })
});

export const Whoever = z.object({
	role: z.enum(ROLES).nullable(),
	asked: z.boolean().meta({ description: 'Whether a passcode is asked for here at all.' })
});
const device = z.object({
	id: z.string(),
	role: z.enum(ROLES),
	device: z.string(),
	createdAt: z.string(),
	seenAt: z.string()
});
export const AccessTold = z.object({
	set: z.array(z.enum(ROLES)),
	sessions: z.array(device),
	tokens: z.array(
		z.object({
			id: z.string(),
			name: z.string(),
			scope: z.enum(SCOPES),
			createdAt: z.string(),
			seenAt: z.string().nullable()
		})
	),
	deeds: z.array(
		z.object({
			who: z.string(),
			what: z.string(),
			path: z.string(),
			firstAt: z.string(),
			lastAt: z.string(),
			times: z.number().int()
		})
	)
});
