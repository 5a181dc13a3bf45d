import { tick } from 'svelte';
import { browser } from '$app/environment';
import { firstUnmeasured, type MeasuringPoint } from '@exetasis/core/mat';
import { partType } from '@exetasis/core/part';
import {
	dimensionOf,
	parseQuantity,
	shownUnit,
	unitLabel,
	units as allUnits,
	type Unit
} from '@exetasis/core/quantity';
import { BENCH_C, checkPlausible } from '@exetasis/core/record';
import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
import type { Format } from '$lib/format/numbers';
import { quantitySentence, refusalSentence } from '$lib/words/problems';
import { keepBenchDay, readBenchDay } from './benchDay';

interface InHand {
	readonly bench: () => BenchState;
	readonly part: () => BenchPart;
	readonly locked: () => boolean;
	readonly format: Format;
	/** A reading was taken; `complete`: all points of all that is asked for have one. */
	readonly ontaken: (complete: boolean) => void;
}

// The server draws the page too, and keeps nothing of a bench.
const device = browser ? localStorage : { getItem: () => null, setItem: () => undefined };

/** The reading that is being typed: its text, the point it goes to, the gauge. The field, the pad and the keys of the page work it. */
export class Measuring {
	/** What is typed and not yet taken. */
	text = $state('');
	/** Temperature of the part, as typed. */
	temperature = $state('');
	/** What is wrong with it, as a sentence. */
	problem = $state('');
	/** The field that takes what is typed. */
	field = $state<HTMLInputElement>();
	#chosen = $state<MeasuringPoint>();
	/** Another unit than the one shown, chosen on the pad. */
	#otherUnit = $state<Unit>();
	/** The bench's own day: asked once, then kept with every reading. */
	#today = $state(readBenchDay(device));
	readonly #inHand: InHand;

	readonly #station = $derived.by(() => this.#inHand.part().station);
	readonly point: MeasuringPoint = $derived.by(() => {
		const known = this.#station.characteristics.some(({ key }) => key === this.#chosen?.characteristic);
		const first = { characteristic: this.#station.characteristics[0]?.key ?? '', row: 0, column: 0 };
		return (known ? this.#chosen : undefined) ?? this.#next() ?? first;
	});
	readonly sheet = $derived(this.#station.characteristics.find(({ key }) => key === this.point.characteristic));
	readonly kind = $derived(
		partType(this.#station.type).characteristics.find(({ key }) => key === this.point.characteristic)
	);
	readonly unit = $derived.by(() => this.sheet && shownUnit(dimensionOf(this.sheet.unit), this.#inHand.format.units));
	readonly gauges = $derived.by(() => {
		const { kind } = this;
		if (!kind) return [];
		return this.#inHand.bench().bench.gauges.filter((gauge) => gauge.kind === kind.instrument && !gauge.retired);
	});
	readonly gauge = $derived.by(() => {
		const inHand = this.kind && this.#inHand.bench().gaugeInHand[this.kind.instrument];
		return this.gauges.find(({ id }) => id === inHand) ?? this.gauges.at(0);
	});
	readonly zeroSeen = $derived(this.gauge !== undefined && this.#today.zeroSeen.includes(this.gauge.id));
	readonly gaugeC = $derived(this.#today.gaugeC);
	/** The unit in which what is typed on the pad is read. */
	readonly padUnit = $derived(this.unit ? unitLabel(this.#otherUnit ?? this.unit) : '');

	constructor(inHand: InHand) {
		this.#inHand = inHand;
	}

	#next = () => firstUnmeasured(this.#inHand.part(), this.#inHand.bench().bench.policy);

	/** Forgets what was typed: another part is in hand. */
	clear(): void {
		this.text = this.temperature = this.problem = '';
		this.#chosen = this.#otherUnit = undefined;
	}

	/** Puts the next typed character into the reading's field. */
	focus(): void {
		this.field?.focus();
	}

	/** Takes up a point of the part, also one that nothing here calls for; without a point the first of the size. */
	choose(characteristic: string, row = 0, column = 0): void {
		this.#chosen = { characteristic, row, column };
	}

	/** Adds a character of the pad; a sign changes sides. */
	type(character: string): void {
		if (character !== '−') this.text += character;
		else this.text = this.text.startsWith('−') ? this.text.slice(1) : `−${this.text}`;
	}
	erase(): void {
		this.text = this.text.slice(0, -1);
	}
	nextUnit(): void {
		const { unit } = this;
		if (!unit) return;
		const units = [unit, ...allUnits.filter((text) => text !== unit && dimensionOf(text) === dimensionOf(unit))];
		this.#otherUnit = units[(units.indexOf(this.#otherUnit ?? unit) + 1) % units.length];
	}

	toggleZero(): void {
		if (!this.gauge) return;
		const { id } = this.gauge;
		const others = this.#today.zeroSeen.filter((text) => text !== id);
		this.#say({ zeroSeen: this.zeroSeen ? others : [...others, id] });
	}
	/** Reads the temperature of the gauges. */
	gaugesAt(typed: string): void {
		this.problem = '';
		if (typed.trim() === '') return this.#say({ gaugeC: undefined });
		const { format } = this.#inHand;
		const { temperature } = format.units;
		const read = parseQuantity(typed, temperature);
		if (read.kind === 'problem')
			this.problem = `Gauges: ${quantitySentence(read.problem, this.#inHand.format, 'Type the temperature.')}`;
		else if (read.base < BENCH_C.least || read.base > BENCH_C.most)
			this.problem = `Gauges: type a temperature from ${format.quantity(BENCH_C.least, temperature)} to ${format.quantity(BENCH_C.most, temperature)}.`;
		else this.#say({ gaugeC: read.base });
	}
	#say(said: Pick<Partial<ReturnType<typeof readBenchDay>>, 'gaugeC' | 'zeroSeen'>): void {
		this.#today = { ...readBenchDay(device), ...said };
		keepBenchDay(device, this.#today);
	}

	/** Enter: takes what is typed as the reading of the point in hand; with nothing typed and nothing left to read, it is complete. */
	async enter(): Promise<void> {
		if (this.text.trim() === '' && !this.#next()) return this.#inHand.ontaken(true);
		await this.take();
	}

	/** Takes what is typed as the reading of the point in hand. */
	async take(): Promise<void> {
		const { sheet, unit, kind, gauge } = this;
		if (!sheet || !unit || this.#inHand.locked()) return;
		const { format } = this.#inHand;
		const plausible = (base: number) => checkPlausible(base, sheet, kind?.form) === undefined;
		const parsed = parseQuantity(this.text, this.#otherUnit ?? unit, plausible);
		if (parsed.kind === 'problem') return void (this.problem = quantitySentence(parsed.problem, format));
		const implausible = checkPlausible(parsed.base, sheet, kind?.form);
		if (implausible) return void (this.problem = refusalSentence(implausible, format));
		const warmth =
			this.temperature.trim() === '' ? undefined : parseQuantity(this.temperature, format.units.temperature);
		if (warmth?.kind === 'problem')
			return void (this.problem = `Temperature: ${quantitySentence(warmth.problem, format)}`);
		this.#inHand.bench().record({
			kind: 'reading',
			part: this.#inHand.part().cell.part,
			payload: {
				...this.point,
				value: parsed.base,
				typed: { text: this.text.trim(), unit: parsed.unit },
				...(gauge ? { gauge: gauge.id } : {}),
				...(warmth ? { partC: warmth.base } : {}),
				...(gauge && this.gaugeC !== undefined ? { gaugeC: this.gaugeC } : {}),
				...(this.zeroSeen ? { zeroSeen: true as const } : {})
			}
		});
		this.text = this.problem = '';
		this.#chosen = this.#otherUnit = undefined;
		await tick();
		this.#inHand.ontaken(!this.#next());
	}

	/** Takes the last reading of the size in hand back. */
	withdrawLast(): void {
		const { readings } = this.#inHand.part().record;
		const last = readings.findLast(({ payload }) => payload.characteristic === this.point.characteristic);
		if (last) this.#inHand.bench().withdraw(last, 'reading removed');
	}
}
