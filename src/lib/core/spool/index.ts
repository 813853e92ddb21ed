export { areaToRadius, radiusAtArea, radiusAtVolume, volumeToRadius, widthAtRadius } from './fill';
export { spoolFromProfile, straightSpool, type ProfilePoint, type Spool } from './spool';
