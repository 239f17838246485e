CREATE TABLE "measures" (
	"id" text PRIMARY KEY NOT NULL,
	"cook_id" text,
	"unit" text NOT NULL,
	"ingredient_id" text NOT NULL,
	"weighings" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER measures_only_grow BEFORE UPDATE OR DELETE ON "measures" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
UPDATE "formulas" SET "content" = jsonb_set("content", '{additions}', (SELECT coalesce(jsonb_agg('{"measuredBy": null}'::jsonb || a ORDER BY n), '[]'::jsonb) FROM jsonb_array_elements("content"->'additions') WITH ORDINALITY AS t(a, n)));--> statement-breakpoint
UPDATE "versions" SET "content" = jsonb_set("content", '{additions}', (SELECT coalesce(jsonb_agg('{"measuredBy": null}'::jsonb || a ORDER BY n), '[]'::jsonb) FROM jsonb_array_elements("content"->'additions') WITH ORDINALITY AS t(a, n)));--> statement-breakpoint
UPDATE "settings" SET "content" = jsonb_set("content", '{smallMeasures,volumeMl}', '{"ladle": {"nominal": 90, "low": 60, "high": 120}}'::jsonb || ("content"->'smallMeasures'->'volumeMl'));
