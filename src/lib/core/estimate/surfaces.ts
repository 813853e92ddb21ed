import { areaToRadius, radiusAtArea, radiusAtVolume, volumeToRadius, type Spool } from '../spool';

/**
 * Surfaces of a spool that go on smoothly below its arbor (and, as everywhere, beyond its rim): a slip of a reading then has a
 * likelihood instead of an exception. Below the arbor the width is the rim's and the way round the arbor's.
 */
const belowPerMm = (spool: Spool): { areaMm2: number; volumeMm3: number } => {
	const areaMm2 = spool.profile.at(-1)!.widthMm;
	return { areaMm2, volumeMm3: areaMm2 * 2 * Math.PI * spool.arborRadiusMm };
};

export const radiusOfVolume = (spool: Spool, volumeMm3: number): number =>
	volumeMm3 >= 0
		? radiusAtVolume(spool, volumeMm3)
		: spool.arborRadiusMm + volumeMm3 / belowPerMm(spool).volumeMm3;

export const volumeOfRadius = (spool: Spool, radiusMm: number): number =>
	radiusMm >= spool.arborRadiusMm
		? volumeToRadius(spool, radiusMm)
		: (radiusMm - spool.arborRadiusMm) * belowPerMm(spool).volumeMm3;

export const radiusOfArea = (spool: Spool, areaMm2: number): number =>
	areaMm2 >= 0 ? radiusAtArea(spool, areaMm2) : spool.arborRadiusMm + areaMm2 / belowPerMm(spool).areaMm2;

export const areaOfRadius = (spool: Spool, radiusMm: number): number =>
	radiusMm >= spool.arborRadiusMm
		? areaToRadius(spool, radiusMm)
		: (radiusMm - spool.arborRadiusMm) * belowPerMm(spool).areaMm2;
