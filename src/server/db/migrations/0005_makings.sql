CREATE TABLE "timers" (
	"id" text PRIMARY KEY NOT NULL,
	"label" text NOT NULL,
	"seconds" double precision NOT NULL,
	"formula_id" text,
	"trial_id" text,
	"started_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "trial_events" ADD COLUMN "happened_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "trials" ADD COLUMN "style_id" text;--> statement-breakpoint
ALTER TABLE "trials" ADD COLUMN "making" jsonb;