import type { Knex } from 'knex';
import * as rack from './001-rack';
import * as stack from './002-stack';
import * as hands from './003-hands';
import * as runs from './004-runs';
import * as steps from './005-steps';
import * as practice from './006-practice';
import * as care from './007-care';
import * as jobs from './008-jobs';
import * as brought from './009-brought';
import * as joins from './010-joins';
import * as learnt from './011-learnt';
import * as imports from './012-imports';
import * as orders from './013-orders';
import * as address from './014-address';
import * as stock from './015-stock';
import * as photos from './016-photos';
import * as besideTurns from './017-beside-turns';

/** Explicit list, in order. Once released, an entry never changes: add another. */
const MIGRATIONS: readonly (Knex.Migration & { name: string })[] = [
	{ name: '001-rack', ...rack },
	{ name: '002-stack', ...stack },
	{ name: '003-hands', ...hands },
	{ name: '004-runs', ...runs },
	{ name: '005-steps', ...steps },
	{ name: '006-practice', ...practice },
	{ name: '007-care', ...care },
	{ name: '008-jobs', ...jobs },
	{ name: '009-brought', ...brought },
	{ name: '010-joins', ...joins },
	{ name: '011-learnt', ...learnt },
	{ name: '012-imports', ...imports },
	{ name: '013-orders', ...orders },
	{ name: '014-address', ...address },
	{ name: '015-stock', ...stock },
	{ name: '016-photos', ...photos },
	{ name: '017-beside-turns', ...besideTurns }
];

export const migrationSource: Knex.MigrationSource<Knex.Migration & { name: string }> = {
	getMigrations: async () => [...MIGRATIONS],
	getMigrationName: ({ name }) => name,
	getMigration: async (migration) => migration
};

/** Whether a file with these migrations was made by a newer version of Wendle. */
export const isNewer = (applied: readonly string[]): boolean =>
	applied.some((name) => !MIGRATIONS.some((known) => known.name === name));
