/** Bytes of one part of an archive that is sent: a server takes no large body. */
export const PART_BYTES = 240_000;
