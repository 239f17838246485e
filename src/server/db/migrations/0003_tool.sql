UPDATE "formulas" SET "content" = '{"tool": null, "mixSeconds": null}'::jsonb || "content";--> statement-breakpoint
UPDATE "versions" SET "content" = '{"tool": null, "mixSeconds": null}'::jsonb || "content";
