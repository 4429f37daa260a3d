CREATE TABLE "erasure" (
	"pupil_id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"asked_at" timestamp with time zone DEFAULT now() NOT NULL
);
