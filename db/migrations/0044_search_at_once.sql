-- Words are written at a maker's pace and looked for at once: no list of what is still to be put into an index is read at every search.
ALTER INDEX "batch_entries_said_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "batch_entries_said_words" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "batches_code_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "checks_note_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "checks_note_words" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "formulas_name_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "given_containers_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "labels_said_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "labels_said_words" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "lines_as_written_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "lots_code_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "lots_supplier_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "materials_name_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "versions_note_trigrams" SET (fastupdate = off);--> statement-breakpoint
ALTER INDEX "versions_note_words" SET (fastupdate = off);--> statement-breakpoint
SELECT gin_clean_pending_list('batch_entries_said_trigrams'), gin_clean_pending_list('batch_entries_said_words'), gin_clean_pending_list('batches_code_trigrams'), gin_clean_pending_list('checks_note_trigrams'), gin_clean_pending_list('checks_note_words'), gin_clean_pending_list('formulas_name_trigrams'), gin_clean_pending_list('given_containers_trigrams'), gin_clean_pending_list('labels_said_trigrams'), gin_clean_pending_list('labels_said_words'), gin_clean_pending_list('lines_as_written_trigrams'), gin_clean_pending_list('lots_code_trigrams'), gin_clean_pending_list('lots_supplier_trigrams'), gin_clean_pending_list('materials_name_trigrams'), gin_clean_pending_list('versions_note_trigrams'), gin_clean_pending_list('versions_note_words');
