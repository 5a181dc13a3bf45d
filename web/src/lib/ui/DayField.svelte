<!-- @component A day of a form: typed as 2026-03-01, or chosen from the calendar; what is typed stays, whatever it is. -->
<script lang="ts">
	import { DatePicker, parseDate, Portal } from '@skeletonlabs/skeleton-svelte';
	import CalendarDays from '@lucide/svelte/icons/calendar-days';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { isValid, parseISO } from 'date-fns';

	interface Props {
		name: string;
		label: string;
		value: string | undefined;
		errors?: readonly string[];
	}
	let { name, label, value = $bindable(), errors = [] }: Props = $props();
	const id = $props.id();
	const wrong = $derived(errors.length > 0);
	const typed = $derived((value ?? '').trim());
	const chosen = $derived(/^\d{4}-\d\d-\d\d$/.test(typed) && isValid(parseISO(typed)) ? [parseDate(typed)] : []);
</script>

<div class="label">
	<label for={id}>{label}</label>
	<DatePicker
		locale="en-GB"
		startOfWeek={1}
		fixedWeeks
		value={chosen}
		onValueChange={({ value: [day] }) => {
			if (day) value = day.toString();
		}}
	>
		<DatePicker.Control class="day">
			<input
				{id}
				{name}
				class="input figures"
				autocomplete="off"
				placeholder="2026-03-01"
				bind:value
				aria-invalid={wrong}
				aria-describedby={wrong ? `${id}-problem` : undefined}
			/>
			<DatePicker.Trigger class="btn-icon" aria-label="Choose from the calendar" aria-describedby={id}
				><CalendarDays size={20} /></DatePicker.Trigger
			>
		</DatePicker.Control>
		<Portal>
			<DatePicker.Positioner class="z-50">
				<DatePicker.Content class="sheet calendar" aria-label="Calendar">
					<DatePicker.View view="day">
						<DatePicker.Context>
							{#snippet children(calendar)}
								<DatePicker.ViewControl class="turn">
									<DatePicker.PrevTrigger class="btn-icon" aria-label="Previous month"
										><ChevronLeft size={20} /></DatePicker.PrevTrigger
									>
									<b><DatePicker.RangeText /></b>
									<DatePicker.NextTrigger class="btn-icon" aria-label="Next month"
										><ChevronRight size={20} /></DatePicker.NextTrigger
									>
								</DatePicker.ViewControl>
								<DatePicker.Table>
									<DatePicker.TableHead>
										<DatePicker.TableRow>
											{#each calendar().weekDays as day (day.long)}
												<DatePicker.TableHeader aria-label={day.long}>{day.narrow}</DatePicker.TableHeader>
											{/each}
										</DatePicker.TableRow>
									</DatePicker.TableHead>
									<DatePicker.TableBody>
										{#each calendar().weeks as week, i (i)}
											<DatePicker.TableRow>
												{#each week as day (day.toString())}
													<DatePicker.TableCell value={day}>
														<DatePicker.TableCellTrigger class="figures">{day.day}</DatePicker.TableCellTrigger>
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
	{#if wrong}<p class="wrong" id="{id}-problem" role="alert">{errors[0]}</p>{/if}
</div>

<style>
	:global(.day.day) {
		display: flex;
		flex-direction: row;
		gap: 2px;
	}
	:global(.day [data-part='trigger']) {
		position: static;
		flex: none;
		height: 44px;
	}
	:global(.calendar) {
		padding: 8px;
		box-shadow: 0 6px 24px rgb(0 0 0 / 0.25);
	}
	:global(.calendar .turn) {
		display: flex;
		align-items: center;
		justify-content: space-between;
	}
	:global(.calendar th) {
		font-size: 0.8rem;
		font-weight: 600;
		color: var(--ink-soft);
	}
	:global(.calendar [data-part='table-cell-trigger']) {
		display: grid;
		place-items: center;
		min-width: 44px;
		min-height: 44px;
		border: 1px solid transparent;
		border-radius: 3px;
		cursor: pointer;
	}
	:global(.calendar [data-part='table-cell-trigger'][data-outside-range]) {
		opacity: 1;
		color: var(--ink-soft);
		font-style: italic;
	}
	:global(.calendar [data-part='table-cell-trigger'][data-today]) {
		border-color: var(--ink-soft);
	}
	:global(.calendar [data-part='table-cell-trigger']:hover),
	:global(.calendar [data-part='table-cell-trigger'][data-focus]) {
		border-color: var(--mark);
	}
	:global(.calendar [data-part='table-cell-trigger'][data-selected]) {
		border: 2px solid var(--mark);
		background: color-mix(in oklab, var(--mark) 12%, var(--sheet));
		font-weight: 650;
	}
</style>
