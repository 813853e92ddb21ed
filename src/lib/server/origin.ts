/** Where this server is reached: as ORIGIN says, where something stands in front of it, else as it was asked. */
export const originOf = (url: URL): string => process.env['ORIGIN'] ?? url.origin;
