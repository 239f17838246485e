ALTER TABLE "batch_events" ADD COLUMN "shape" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "shape" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "trial_events" ADD COLUMN "shape" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "trials" ADD COLUMN "shape" integer DEFAULT 1 NOT NULL;