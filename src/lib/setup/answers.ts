import { z } from 'zod';
import { SetupForm, SpoolForm } from './form';

/** What the server answers about set-ups and spools, and what a browser reads of it. */

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

export const Spools = z.object({ spools: z.array(Version.extend({ id: z.string(), form: SpoolForm })) });
/** A set-up as it is saved. */
export const SavedSetup = Version.extend({ id: z.string(), spoolId: z.string(), form: SetupForm });
