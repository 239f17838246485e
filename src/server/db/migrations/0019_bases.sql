ALTER TABLE "batches" ADD COLUMN "base_id" text;--> statement-breakpoint
CREATE INDEX "batches_of_base" ON "batches" USING btree ("base_id");