<!-- @component Takes photographs with the tablet's camera, or chosen from its files, and makes them small enough to keep. -->
<script lang="ts">
	import { FileUpload } from '@skeletonlabs/skeleton-svelte';
	import Camera from '@lucide/svelte/icons/camera';
	import { pictureFrom, type Picture } from './photo';

	interface Props {
		label: string;
		short: string;
		ontake: (picture: Picture) => Promise<void>;
	}
	let { label, short, ontake }: Props = $props();
	let problem = $state('');
	let busy = $state(false);

	async function take(files: readonly File[]) {
		problem = '';
		busy = true;
		for (const file of files) {
			const picture = await pictureFrom(file);
			if (picture) await ontake(picture);
			else problem = `“${file.name}” cannot be read as a picture. Take it again, or choose a JPEG or PNG.`;
		}
		busy = false;
	}
</script>

<FileUpload
	accept="image/*"
	capture="environment"
	maxFiles={10}
	onFileAccept={({ files }) => void take(files)}
	disabled={busy}
>
	<FileUpload.Trigger class="btn"><Camera size={18} aria-hidden="true" /> {short}</FileUpload.Trigger>
	<FileUpload.HiddenInput aria-label={label} />
</FileUpload>
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
