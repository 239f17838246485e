CREATE TABLE "styles" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
UPDATE "formulas" SET "content" = '{"styleId": null, "targetRatio": null}'::jsonb || "content";--> statement-breakpoint
UPDATE "versions" SET "content" = '{"styleId": null, "targetRatio": null}'::jsonb || "content";
