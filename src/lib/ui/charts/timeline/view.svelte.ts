import { scaleUtc } from 'd3-scale';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import type { Attachment } from 'svelte/attachments';
import { atDay, type TimeScale } from './lane';

/** A year either way of what there is can be looked at no closer than this, days across. */
const CLOSEST_DAYS = 14;

/** What stretch of time all lanes show, in one: dragged, pinched, and by keys. */
export class TimeView {
	/** Width of a lane, px. */
	width = $state(600);
	/** Drawn once its width is known: what a server drew would be drawn again. */
	ready = $state(false);
	#transform = $state.raw<ZoomTransform>(zoomIdentity);
	readonly #days: () => readonly [number, number];
	readonly #base: TimeScale = $derived.by(() => {
		const [from, to] = this.#days();
		return scaleUtc([atDay(from), atDay(to)], [0, this.width]);
	});
	readonly x: TimeScale = $derived.by(() => this.#transform.rescaleX(this.#base));
	/** Closer than all of it. */
	readonly zoomed = $derived.by(() => this.#transform.k > 1.001);
	#behaviour: ZoomBehavior<HTMLElement, unknown> | undefined;
	#element: HTMLElement | undefined;

	/** @param days first and last day there is to show, as days since 1970 */
	constructor(days: () => readonly [number, number]) {
		this.#days = days;
	}

	/** Lets an element be dragged and pinched; the wheel needs a key, so that a page can be scrolled over it. */
	readonly dragged: Attachment<HTMLElement> = (element) => {
		const [from, to] = this.#days();
		this.#element = element;
		this.ready = true;
		this.#behaviour = zoom<HTMLElement, unknown>()
			.filter((event: MouseEvent | WheelEvent | TouchEvent) =>
				'touches' in event
					? event.touches.length > 1
					: event.type === 'wheel'
						? event.ctrlKey || event.metaKey
						: event.button === 0
			)
			.scaleExtent([1, Math.max(1, (to - from) / CLOSEST_DAYS)])
			.on('zoom', ({ transform }: { transform: ZoomTransform }) => (this.#transform = transform));
		const selection = select(element).call(this.#behaviour).on('dblclick.zoom', null);
		$effect(() => {
			const extent: [[number, number], [number, number]] = [
				[0, 0],
				[this.width, 1]
			];
			this.#behaviour?.extent(extent).translateExtent(extent);
		});
		return () => void selection.on('.zoom', null);
	};

	#with(change: (behaviour: ZoomBehavior<HTMLElement, unknown>, element: HTMLElement) => void): void {
		if (this.#behaviour && this.#element) change(this.#behaviour, this.#element);
	}
	/** Closer, or farther away, by a factor. */
	zoom(factor: number): void {
		this.#with((behaviour, element) => behaviour.scaleBy(select(element), factor, [this.width, 0]));
	}
	/** To the right by a share of what is shown. */
	pan(share: number): void {
		this.#with((behaviour, element) =>
			behaviour.translateBy(select(element), (-share * this.width) / this.#transform.k, 0)
		);
	}
	/** The last so many days, up to the end; all of it when that is more. */
	last(days: number): void {
		const [from, to] = this.#days();
		const k = Math.max(1, (to - from) / days);
		this.#with((behaviour, element) =>
			behaviour.transform(select(element), zoomIdentity.translate(this.width * (1 - k), 0).scale(k))
		);
	}
	all(): void {
		this.#with((behaviour, element) => behaviour.transform(select(element), zoomIdentity));
	}
}
