import { BringThing } from '$lib/inventory/care';
import { writing } from '$lib/server/http';
import { bring } from '$lib/server/services';

/** A strand that is on a coil, and was never wound here; its own id tells it from every other. */
export const POST = writing(BringThing, (_asked, thing, { locals }) => bring(thing, locals.today), 201);
