// What a job needs whose sheet grows with the strip, fetched at once while the network is up.
export { grownBench } from './grownBench';
export { LaidDownList } from './laidDown.svelte';
