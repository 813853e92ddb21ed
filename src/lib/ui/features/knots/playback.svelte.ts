/** From one stage to the next: when a step is taken, and when it is played; how long a stage rests between. */
const STEP_MS = 800;
const PLAYED_MS = 2600;
const REST_MS = 1300;

const wantsStill = (): boolean => matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Where a knot is between its stages: stepped, scrubbed or played. Stages count from 0. */
export class Playback {
	/** Between stages: 1.5 is midway from the second to the third. */
	place = $state(0);
	/** The stage whose words are shown: the one that is on the way. */
	stage = $state(0);
	playing = $state(false);
	readonly #last: number;
	#frame = 0;

	constructor(stages: number, at = 0) {
		this.#last = stages - 1;
		this.place = this.stage = this.#kept(at);
	}

	#kept = (place: number): number => Math.min(Math.max(place, 0), this.#last);

	/** One stage on or back, moving; farther, at once. */
	go(to: number): void {
		this.pause();
		const target = this.#kept(to);
		const near = Math.abs(target - this.place) <= 1;
		this.stage = target;
		if (!near || wantsStill()) this.place = target;
		else this.#glide(target, STEP_MS * Math.abs(target - this.place));
	}

	/** To any place, by hand. */
	scrub(place: number): void {
		this.pause();
		this.place = this.#kept(place);
		this.stage = Math.ceil(this.place - 1e-6);
	}

	/** On from here to the end, from the beginning when it is at the end. */
	play(): void {
		this.pause();
		if (this.place >= this.#last) this.place = this.stage = 0;
		this.playing = true;
		this.#playOn();
	}

	pause(): void {
		cancelAnimationFrame(this.#frame);
		this.playing = false;
	}

	#playOn(): void {
		const target = Math.floor(this.place + 1e-6) + 1;
		if (target > this.#last) return this.pause();
		const rest = performance.now() + (this.place > 0 ? REST_MS : 300);
		const wait = (now: number): void => {
			if (now < rest) this.#frame = requestAnimationFrame(wait);
			else {
				this.stage = target;
				if (wantsStill()) {
					this.place = target;
					this.#playOn();
				} else this.#glide(target, PLAYED_MS * (target - this.place), () => this.#playOn());
			}
		};
		this.#frame = requestAnimationFrame(wait);
	}

	#glide(target: number, ms: number, then?: () => void): void {
		const from = this.place;
		const began = performance.now();
		const frame = (now: number): void => {
			const share = ms > 0 ? Math.min(Math.max((now - began) / ms, 0), 1) : 1;
			this.place = share === 1 ? target : from + (target - from) * share;
			if (share < 1) this.#frame = requestAnimationFrame(frame);
			else then?.();
		};
		this.#frame = requestAnimationFrame(frame);
	}
}
