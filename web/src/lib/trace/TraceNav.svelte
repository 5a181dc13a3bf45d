<!-- @component The pages of tracing: what recurs, how long parts live, what is being done about it, and what causes are believed in. -->
<script lang="ts">
	import Tabs from '$lib/ui/Tabs.svelte';

	const pages = [
		['/trace', 'Recurrences'],
		['/trace/compare', 'Compare'],
		['/trace/lives', 'Lives'],
		['/trace/cases', 'Cases'],
		['/trace/causes', 'Causes']
	] as const;
</script>

<div class="mb-2"><Tabs label="Trace" {pages} /></div>
