import { z } from 'zod';

/** What a write answers. */
export const Id = z.object({ id: z.string() });
export const Version = z.object({ version: z.number().int() });
export const Made = Version.extend({ id: z.string() });
export const Created = Made.extend({ spoolId: z.string() });
