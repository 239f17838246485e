CREATE TABLE "cooks" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "pantry" (
	"ingredient_id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "shelf" text DEFAULT 'shelf' NOT NULL;--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "shelf_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "parent" integer;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "by" jsonb DEFAULT '{"cookId":null,"deviceId":""}'::jsonb NOT NULL;--> statement-breakpoint
UPDATE "versions" SET "parent" = "number" - 1 WHERE "number" > 1;--> statement-breakpoint
UPDATE "versions" SET "content" = "content" || jsonb_build_object(
	'basedOnVersion', "parent",
	'additions', coalesce((SELECT jsonb_agg(a || '{"locked": false}'::jsonb) FROM jsonb_array_elements("content"->'additions') a), '[]'::jsonb)
);--> statement-breakpoint
UPDATE "formulas" SET "content" = "content" || jsonb_build_object(
	'basedOnVersion', (SELECT max("number") FROM "versions" WHERE "versions"."formula_id" = "formulas"."id"),
	'additions', coalesce((SELECT jsonb_agg(a || '{"locked": false}'::jsonb) FROM jsonb_array_elements("content"->'additions') a), '[]'::jsonb)
);
