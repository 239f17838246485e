/** Read before the tests that run on a PostgreSQL server: their kitchens open there. */
import { inject } from 'vitest';

process.env.YGRANA_TEST_SERVER = inject('postgresServer');
