<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Exetasis</title></svelte:head>
<h1>{page.status === 404 ? 'Page not found' : 'Something went wrong'}</h1>
<p>{page.error?.message}</p>
{#if page.error?.id}<p class="soft">
		The server’s log has the cause under <span class="figures">{page.error.id}</span>.
	</p>{/if}
<p class="mt-4"><a class="btn" href="/">Back to Floor</a></p>
