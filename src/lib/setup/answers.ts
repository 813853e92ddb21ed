import { z } from 'zod';
import { SetupForm, SpoolForm } from './form';

/** What the server answers about set-ups and spools, and what a browser reads of it. */

/** A page of things, and the id to go on after; null at the end. */
export const pageShape = <T extends z.ZodType>(thing: T) =>
	z.object({ things: z.array(thing), next: z.string().nullable(), total: z.number().int() });

export const Id = z.object({ id: z.string() });
export const Version = z.object({ version: z.number().int() });
export const Made = Version.extend({ id: z.string() });
/** A set-up that was saved for the first time. */
export const Created = Made.extend({ spoolId: z.string() });
/** Any save: the first one says what was made. */
export const Saved = Created.partial({ id: true, spoolId: true });

/** What is there when somebody else saved meanwhile: of a set-up that is not saved yet, its spool. */
export const Current = z.union([
	z.object({ form: SetupForm, version: z.number().int() }),
	z.object({ spool: SpoolForm, spoolVersion: z.number().int(), spoolId: z.string() })
]);

/** A spool on the rack. */
export const SavedSpool = Version.extend({ id: z.string(), form: SpoolForm });
/** A set-up as it is saved. */
export const SavedSetup = Version.extend({ id: z.string(), spoolId: z.string(), form: SetupForm });
