CREATE TABLE "pictures" (
	"place" bigserial PRIMARY KEY NOT NULL,
	"id" text NOT NULL,
	"trial_id" text NOT NULL,
	"taken_at" timestamp with time zone NOT NULL,
	"seconds" double precision,
	"width_px" integer NOT NULL,
	"height_px" integer NOT NULL,
	"bytes" integer NOT NULL,
	"jpeg" text NOT NULL,
	"seen" jsonb NOT NULL,
	"by" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "pictures_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE INDEX "pictures_of_trial" ON "pictures" USING btree ("trial_id");