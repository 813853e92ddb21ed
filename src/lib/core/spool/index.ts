export { areaToRadius, radiusAtArea, radiusAtVolume, volumeToRadius, widthAtRadius } from './fill';
export type { ProfilePoint } from './piece';
export { spoolFromProfile, straightSpool, type Spool } from './spool';
