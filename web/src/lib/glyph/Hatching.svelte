<!-- @component The hatchings that all section drawings of a page share; placed once, in the layout. -->
<svg width="0" height="0" aria-hidden="true" style="position: absolute">
	<defs>
		<pattern id="hatch-metal" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V4" />
		</pattern>
		<pattern id="hatch-castIron" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V7" />
		</pattern>
		<pattern id="hatch-ceramic" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V5M2 0V5" />
		</pattern>
		<pattern id="hatch-elastomer" width="3.4" height="3.4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V3.4M0 0H3.4" />
		</pattern>
		<pattern id="hatch-plastic" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
			<path d="M0 0V4" />
		</pattern>
		<pattern id="hatch-fibre" width="4" height="4" patternUnits="userSpaceOnUse">
			<path d="M0 1H2M2 3H4" />
		</pattern>
		<pattern id="hatch-garter" width="2" height="2" patternUnits="userSpaceOnUse">
			<path d="M0 0L2 2" />
		</pattern>
	</defs>
</svg>

<style>
	path {
		stroke: currentColor;
		stroke-width: 0.7;
		fill: none;
	}
</style>
