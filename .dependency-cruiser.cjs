/**
 * Which way dependencies may point: core ← server ← web, and demo beside the server. Type-only imports count as well: a
 * type that points the wrong way is a door that the next change goes through.
 */
const tests = '(\\.test|/testing|/testDatabase)\\.ts$';
module.exports = {
	forbidden: [
		{
			name: 'core-is-pure',
			comment: 'no interface, database, Node API or anything of ours outside of the core',
			severity: 'error',
			from: { path: '^core/src', pathNot: tests },
			to: { pathNot: ['^core/src', 'node_modules/(@stdlib|zod|jsonc-parser)/'] }
		},
		{
			name: 'demo-knows-only-core',
			severity: 'error',
			from: { path: '^demo/src', pathNot: '\\.test\\.ts$' },
			to: { pathNot: ['^demo/src', '^core/src', '^@exetasis/core'] }
		},
		{
			name: 'server-knows-no-web',
			comment: 'the services serve the web, the commands, the demo and the devices alike',
			severity: 'error',
			from: { path: '^server/src' },
			to: { path: ['^web/', '^demo/src', 'node_modules/(@sveltejs|svelte)/'] }
		},
		{
			name: 'pages-know-the-server-by-type-only',
			comment: 'what runs in a browser may know the shape of what the services answer, and no more',
			severity: 'error',
			from: {
				path: '^web/src/(lib|routes)/',
				pathNot: ['^web/src/lib/server/', '\\+(page|layout|server)(\\.server)?\\.ts$', tests]
			},
			to: { path: '^(server/src|@exetasis/server)', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'components-know-no-routes',
			severity: 'error',
			from: { path: '^web/src/lib/' },
			to: { path: '^web/src/routes/' }
		},
		{
			name: 'format-is-lowest',
			comment: 'numbers, units and dates are written the same way everywhere',
			severity: 'error',
			from: { path: '^web/src/lib/format/' },
			to: { path: '^web/src/', pathNot: '^web/src/lib/format/' }
		},
		{
			name: 'words-know-no-components',
			severity: 'error',
			from: { path: '^web/src/lib/words/', pathNot: tests },
			to: { path: '^web/src/', pathNot: '^web/src/lib/(format|words)/' }
		},
		{
			name: 'the-kit-knows-no-subject',
			comment: 'ui holds components for any page; the record and the parts have their own folders',
			severity: 'error',
			from: { path: '^web/src/lib/ui/', pathNot: tests },
			to: { path: '^web/src/', pathNot: '^web/src/lib/(format|words|ui)/' }
		},
		{
			name: 'statements-are-the-services-business',
			comment: 'pages and routes ask a service',
			severity: 'error',
			from: { path: '^web/src/' },
			to: { path: '^server/src/db/sql/', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'no-cycles',
			severity: 'error',
			// A statement of a sheet holds statements, and draws them as itself.
			from: { pathNot: '^web/src/lib/builder/fields/Field[.]svelte$' },
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		}
	],
	options: {
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.base.json' },
		doNotFollow: { path: 'node_modules' },
		enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
		exclude: { path: '\\.svelte-kit' }
	}
};
