CREATE TABLE "plans" (
	"day" text PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
