CREATE TABLE "trial_events" (
	"place" bigserial PRIMARY KEY NOT NULL,
	"id" text NOT NULL,
	"trial_id" text NOT NULL,
	"event" jsonb NOT NULL,
	"by" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "trial_events_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "trials" (
	"id" text PRIMARY KEY NOT NULL,
	"formula_id" text NOT NULL,
	"version" integer NOT NULL,
	"vessel_id" text NOT NULL,
	"lines" jsonb NOT NULL,
	"by" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "trial_events" ADD CONSTRAINT "trial_events_trial_id_trials_id_fk" FOREIGN KEY ("trial_id") REFERENCES "public"."trials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "events_of_trial" ON "trial_events" USING btree ("trial_id");--> statement-breakpoint
CREATE INDEX "trials_of_formula" ON "trials" USING btree ("formula_id");--> statement-breakpoint
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION 'what was recorded is not changed: add a correction'; END $$;--> statement-breakpoint
CREATE TRIGGER trials_only_grow BEFORE UPDATE OR DELETE ON "trials" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
CREATE TRIGGER events_only_grow BEFORE UPDATE OR DELETE ON "trial_events" FOR EACH ROW EXECUTE FUNCTION refuse_change();
