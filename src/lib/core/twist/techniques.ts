import type { TwistVerdict } from './ledger';

/** What people say of winding machines and twist. Both are common practice; the ledger says which holds here. */
export const MACHINE_TECHNIQUES = [
	'A winding machine only puts existing twist on tighter: what the coil had, the reel now has.',
	'A winding machine is good enough, as long as the supply spool turns: then it adds nothing.'
] as const;

/** What the ledger says to that: with twist in it the first has a point, without it the second. */
export const machineSays = (verdict: TwistVerdict): 0 | 1 => (verdict === 'none' ? 1 : 0);
