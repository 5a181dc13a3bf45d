<script lang="ts">
	import NewSheet from '$lib/builder/NewSheet.svelte';

	let { data } = $props();
</script>

<svelte:head><title>New model sheet · Exetasis</title></svelte:head>
<h1>New model sheet</h1>
<p class="soft mb-2">What the name plate says, and what to begin from. Everything can be changed afterwards.</p>
<NewSheet form={data.form} layouts={data.layouts} like={data.like} names={data.names} />
