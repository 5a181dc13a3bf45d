/** Which way dependencies may point. The core stays pure: no interface, database, Node API or anything of ours outside it. */
module.exports = {
	forbidden: [
		{
			name: 'core-is-pure',
			severity: 'error',
			from: { path: '^core/src', pathNot: '(\\.test|/testing)\\.ts$' },
			to: { pathNot: ['^core/src', 'node_modules/(@stdlib|zod|jsonc-parser)/'] }
		},
		{
			name: 'demo-knows-only-core',
			severity: 'error',
			from: { path: '^demo/src', pathNot: '\\.test\\.ts$' },
			to: { pathNot: ['^demo/src', '^core/src', '^@exetasis/core'] }
		},
		{
			name: 'no-cycles',
			severity: 'error',
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		}
	],
	options: {
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.base.json' },
		doNotFollow: { path: 'node_modules' }
	}
};
