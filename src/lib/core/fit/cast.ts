/** What is outside the rod when a cast lies straight: everything in front of the running line, and its bands. */
export interface CastCount {
	/** Head, tip and whatever else goes on in front of the running line, mm. */
	readonly frontMm: number;
	readonly leaderMm: number;
	/** Length of one colour of the running line, mm. */
	readonly bandMm: number;
	/** Bands that went out; halves count. */
	readonly bands: number;
}

/** How far a cast went, from the colours of the running line counted: leader + tip + head + bands × band. */
export const castLengthMm = ({ frontMm, leaderMm, bandMm, bands }: CastCount): number =>
	leaderMm + frontMm + bands * bandMm;
