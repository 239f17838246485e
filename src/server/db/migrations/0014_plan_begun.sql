-- Plans of before tasks could be begun say so.
UPDATE "plans" SET "content" = "content" || '{"begun": {}}'::jsonb WHERE NOT "content" ? 'begun';
