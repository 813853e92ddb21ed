import type { Knex } from 'knex';
import * as rack from './001-rack';
import * as stack from './002-stack';

/** Explicit list, in order. Once released, an entry never changes: add another. */
const MIGRATIONS: readonly (Knex.Migration & { name: string })[] = [
	{ name: '001-rack', ...rack },
	{ name: '002-stack', ...stack }
];

export const migrationSource: Knex.MigrationSource<Knex.Migration & { name: string }> = {
	getMigrations: async () => [...MIGRATIONS],
	getMigrationName: ({ name }) => name,
	getMigration: async (migration) => migration
};
