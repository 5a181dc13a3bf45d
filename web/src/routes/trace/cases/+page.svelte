<!-- @component Every case of the shop: those still open first. -->
<script lang="ts">
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import TraceNav from '$lib/trace/TraceNav.svelte';
	import { day } from '$lib/format/time';
	import { caseState } from '$lib/words/causes';
	import { placeName } from '$lib/words/place';

	let { data } = $props();
	type Case = (typeof data.cases)[number];
	const columns: readonly Column<Case>[] = [
		{
			key: 'what',
			head: 'Recurring problem',
			of: ({ pattern, stationName, cylinder }) =>
				`${patternName(pattern as PatternKey)}, ${placeName(stationName, cylinder)}`,
			to: ({ id }) => `/trace/cases/${id}`
		},
		{ key: 'pump', head: 'Pump', of: ({ pump }) => pump.serial, to: ({ pumpId }) => `/trace/pumps/${pumpId}` },
		{ key: 'cause', head: 'Suspected cause', of: ({ causeName }) => causeName },
		{ key: 'action', head: 'Corrective action', of: ({ action }) => action },
		{
			key: 'state',
			head: 'State',
			of: ({ state }) => caseState[state]
		},
		{
			key: 'opened',
			brief: true,
			head: 'Opened',
			of: ({ history }) => history[0]?.at,
			says: ({ history }) => (history[0] ? day(history[0].at) : '')
		}
	];
</script>

<svelte:head><title>Cases · Exetasis</title></svelte:head>
<div class="flex flex-wrap items-center gap-x-6">
	<h1>Cases</h1>
	<TraceNav />
</div>
<DataTable
	label="Cases"
	rows={data.cases}
	{columns}
	empty="No cases yet. Open a pump under Trace, choose a recurring problem and open a case."
/>
