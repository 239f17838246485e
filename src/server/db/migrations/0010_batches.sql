CREATE TABLE "batch_events" (
	"place" bigserial PRIMARY KEY NOT NULL,
	"id" text NOT NULL,
	"batch_id" text NOT NULL,
	"event" jsonb NOT NULL,
	"by" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "batch_events_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "batches" (
	"id" text PRIMARY KEY NOT NULL,
	"formula_id" text NOT NULL,
	"version" integer NOT NULL,
	"day" text NOT NULL,
	"place" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"by" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "batch_of_the_day" UNIQUE("day","place")
);
--> statement-breakpoint
ALTER TABLE "trials" ADD COLUMN "batch" jsonb;--> statement-breakpoint
ALTER TABLE "batch_events" ADD CONSTRAINT "batch_events_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "events_of_batch" ON "batch_events" USING btree ("batch_id");--> statement-breakpoint
CREATE INDEX "batches_of_formula" ON "batches" USING btree ("formula_id");--> statement-breakpoint
CREATE INDEX "trials_of_batch" ON "trials" USING btree (("batch"->>'batchId'));--> statement-breakpoint
CREATE TRIGGER batches_never_change BEFORE UPDATE OR DELETE ON "batches" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
CREATE TRIGGER batch_events_only_grow BEFORE UPDATE OR DELETE ON "batch_events" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
UPDATE "settings" SET "content" = '{"batch": {"lossShare": 0.02, "scale": {"readabilityG": 1, "capacityG": 5000, "vesselG": 400}, "fridgeC": 3, "roomC": 20, "holdBack": {"salt": 0.15, "rawAllium": 0.25, "chilli": 0.25, "strongHerbs": 0.25, "fromFold": 4}}}'::jsonb || "content";
