<!-- @component A day of a form: typed as year-month-day, or chosen from the calendar. -->
<script lang="ts">
	import CalendarDays from '@lucide/svelte/icons/calendar-days';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { DatePicker, parseDate, Portal } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		name: string;
		label: string;
		/** Year, month and day, as "2026-03-01"; empty where none is chosen. */
		value: string;
		errors?: readonly string[];
	}
	let { name, label, value = $bindable(), errors = [] }: Props = $props();

	const read = (text: string) => {
		try {
			return parseDate(text.trim());
		} catch {
			return undefined; // being typed
		}
	};
	const chosen = $derived(read(value));
	const wrong = $derived(errors.length > 0);
</script>

<div class="label">
	<DatePicker
		{name}
		value={chosen ? [chosen] : []}
		format={(day) => day.toString()}
		parse={read}
		invalid={wrong}
		onValueChange={({ value: days }) => (value = days[0]?.toString() ?? '')}
	>
		<DatePicker.Label>{label}</DatePicker.Label>
		<DatePicker.Control class="control">
			<DatePicker.Input class="input" placeholder="2026-01-31" autocomplete="off" />
			<DatePicker.Trigger class="btn-icon"><CalendarDays size={18} aria-hidden="true" /></DatePicker.Trigger>
		</DatePicker.Control>
		<Portal>
			<DatePicker.Positioner class="z-40">
				<DatePicker.Content class="sheet menu">
					<DatePicker.View view="day">
						<DatePicker.Context>
							{#snippet children(picker)}
								<DatePicker.ViewControl class="turn">
									<DatePicker.PrevTrigger class="btn-icon"><ChevronLeft size={18} /></DatePicker.PrevTrigger>
									<DatePicker.RangeText />
									<DatePicker.NextTrigger class="btn-icon"><ChevronRight size={18} /></DatePicker.NextTrigger>
								</DatePicker.ViewControl>
								<DatePicker.Table>
									<DatePicker.TableHead>
										<DatePicker.TableRow>
											{#each picker().weekDays as weekDay, index (index)}
												<DatePicker.TableHeader>{weekDay.short}</DatePicker.TableHeader>
											{/each}
										</DatePicker.TableRow>
									</DatePicker.TableHead>
									<DatePicker.TableBody>
										{#each picker().weeks as week, index (index)}
											<DatePicker.TableRow>
												{#each week as day (day.toString())}
													<DatePicker.TableCell value={day}>
														<DatePicker.TableCellTrigger class="day">{day.day}</DatePicker.TableCellTrigger>
													</DatePicker.TableCell>
												{/each}
											</DatePicker.TableRow>
										{/each}
									</DatePicker.TableBody>
								</DatePicker.Table>
							{/snippet}
						</DatePicker.Context>
					</DatePicker.View>
				</DatePicker.Content>
			</DatePicker.Positioner>
		</Portal>
	</DatePicker>
	{#if wrong}<p class="wrong" role="alert">{errors[0]}</p>{/if}
</div>

<style>
	.label :global([data-part='root']) {
		display: grid;
		gap: 0.25rem;
	}
	.label :global(.control) {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 4px;
	}
	:global(.turn) {
		display: flex;
		align-items: center;
		justify-content: space-between;
	}
	:global(.day) {
		display: grid;
		place-items: center;
		width: 44px;
		height: 44px;
		cursor: pointer;
	}
	:global(.day[data-selected]) {
		background: var(--mark);
		color: var(--sheet);
	}
	:global(.day[data-outside-range]) {
		color: var(--ink-soft);
	}
	:global(.day[data-focus]) {
		outline: 2px solid var(--mark);
	}
</style>
