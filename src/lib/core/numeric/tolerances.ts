/** Every tolerance of the core, with its unit and its reason, in one place. */

/** Relative width at which a bracket counts as closed: well below any calipers, well above rounding. */
export const ROOT_RELATIVE = 1e-13;

/** Iterations after which a bracketed root must have closed: each at least halves it. */
export const ROOT_ITERATIONS = 200;

/** mm. Two diameters closer than this are one: a section between them is level. */
export const SAME_DIAMETER_MM = 1e-9;

/** mm. Gaps and surfaces closer than this are equal: rounding, not clearance. */
export const SURFACE_MM = 1e-6;
