import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'mysql', schema: ['./db/schema.ts', './db/people.ts'], out: './db/migrations' });
