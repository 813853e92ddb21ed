import { getContext, setContext } from 'svelte';

/** Ways to come by the turns; freely mixed in one run. */
export type CountingWay = 'tap' | 'pace' | 'counter' | 'scale' | 'none';

/** What helps while both hands are busy; kept in this browser, since it belongs to the device on the table. */
interface Settings {
	aloud: boolean;
	sound: boolean;
	awake: boolean;
	contrast: boolean;
	/** Turns that one tap stands for, in the job that it was set in. */
	batch: number;
	batchIn: string;
	/** The way of counting that is in front. */
	way: CountingWay;
	counterUrl: string;
	/** A counter was linked, and is linked again when the page comes back. */
	counterOn: boolean;
	/** What a counter counts: turns of the handle, or of the spool. */
	counterCounts: 'handle' | 'spool';
	/** From fingertip to fingertip, mm; 0 until somebody says. */
	spanMm: number;
	/** Turns a minute to wind along with. */
	pace: number;
}
export const COUNTER_URL = 'http://127.0.0.1:4317';
const DEFAULTS: Settings = {
	aloud: false,
	sound: true,
	awake: true,
	contrast: false,
	batch: 10,
	batchIn: '',
	way: 'tap',
	counterUrl: COUNTER_URL,
	counterOn: false,
	spanMm: 0,
	counterCounts: 'handle',
	pace: 60
};
const KEY = 'wendle-hands-busy';
const CONTEXT = Symbol('hands-busy');

function kept(): Settings {
	try {
		return { ...DEFAULTS, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>) };
	} catch {
		return { ...DEFAULTS };
	}
}

/** Tones of a warning: frequency, Hz, and length, s. */
const TONES = {
	tick: [[1200, 0.03]],
	near: [
		[880, 0.12],
		[880, 0.12]
	],
	stop: [
		[660, 0.2],
		[520, 0.2],
		[400, 0.4]
	]
} as const satisfies Record<string, readonly (readonly [number, number])[]>;

/** Reading aloud, sounds, the screen kept awake, the whole screen, more contrast. */
export class HandsBusy {
	#kept = $state<Settings>({ ...DEFAULTS });
	/** This browser can keep the screen on: over plain http from another machine, none can. */
	canHold = $state(true);
	/** The step fills the screen. */
	whole = $state(false);
	#audio: AudioContext | undefined;
	#lock: WakeLockSentinel | undefined;

	/** Reads what this browser kept; only there, since the server knows nothing of it. `job`: what is done at this bench. */
	open(job: string): () => void {
		this.#kept = kept();
		// A batch of two hundred belongs to one job: in the next it would be a trap.
		if (this.#kept.batchIn !== job) Object.assign(this.#kept, { batch: DEFAULTS.batch, batchIn: job });
		this.canHold = 'wakeLock' in navigator;
		this.#apply();
		const seen = (): void => void this.#hold();
		const screen = (): void => {
			if (!document.fullscreenElement && this.#asked) this.whole = this.#asked = false;
		};
		document.addEventListener('visibilitychange', seen);
		document.addEventListener('fullscreenchange', screen);
		return () => {
			document.removeEventListener('visibilitychange', seen);
			document.removeEventListener('fullscreenchange', screen);
			delete document.documentElement.dataset['contrast'];
			void this.#lock?.release();
			window.speechSynthesis?.cancel();
		};
	}

	get<K extends keyof Settings>(key: K): Settings[K] {
		return this.#kept[key];
	}
	set<K extends keyof Settings>(key: K, value: Settings[K]): void {
		this.#kept[key] = value;
		this.#apply();
		try {
			localStorage.setItem(KEY, JSON.stringify(this.#kept));
		} catch {
			// A browser that keeps nothing has it until the page is left.
		}
	}

	#apply(): void {
		if (this.#kept.contrast) document.documentElement.dataset['contrast'] = 'more';
		else delete document.documentElement.dataset['contrast'];
		void this.#hold();
	}

	/** The browser lets go of the screen when the page is hidden: it is asked again when it is seen. */
	async #hold(): Promise<void> {
		if (!this.#kept.awake) {
			await this.#lock?.release();
			this.#lock = undefined;
			return;
		}
		if (document.visibilityState !== 'visible' || (this.#lock && !this.#lock.released)) return;
		// Refused on a low battery, or unknown to the browser: then the screen does as it always does.
		this.#lock = await navigator.wakeLock?.request('screen').catch(() => undefined);
	}

	/** Whether full screen was entered from here. */
	#asked = false;
	/** The step alone on the screen; where the browser allows it, on all of the screen. */
	async toggleWhole(): Promise<void> {
		this.whole = !this.whole;
		try {
			if (this.whole) await document.documentElement.requestFullscreen();
			else if (document.fullscreenElement) await document.exitFullscreen();
			this.#asked = this.whole;
		} catch {
			this.#asked = false;
		}
	}

	/** What was set for one job is not carried into the next. */
	jobEnded(): void {
		this.set('batch', DEFAULTS.batch);
	}

	say(text: string): void {
		if (!this.#kept.aloud || !('speechSynthesis' in window)) return;
		window.speechSynthesis.cancel();
		window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
	}

	sound(name: keyof typeof TONES): void {
		if (!this.#kept.sound) return;
		// A browser opens its speakers only after a touch or a key; until then this is silent.
		this.#audio ??= new AudioContext();
		let at = this.#audio.currentTime;
		for (const [hertz, seconds] of TONES[name]) {
			const [tone, volume] = [this.#audio.createOscillator(), this.#audio.createGain()];
			tone.frequency.value = hertz;
			volume.gain.setValueAtTime(0.2, at);
			volume.gain.exponentialRampToValueAtTime(0.001, at + seconds);
			tone.connect(volume).connect(this.#audio.destination);
			tone.start(at);
			tone.stop(at + seconds);
			at += seconds * 1.4;
		}
	}
}

export const provideHandsBusy = (): HandsBusy => setContext(CONTEXT, new HandsBusy());
export const useHandsBusy = (): HandsBusy => getContext<HandsBusy>(CONTEXT);
