/** Where this server is reached. Without ORIGIN the adapter takes every address for https; by itself the server speaks http. */
export const originOf = (url: URL): string => process.env['ORIGIN'] ?? `http://${url.host}`;
