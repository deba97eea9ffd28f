<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * Each mark of a sheet is a line of its own, written once: who, when, with which gauge. What the sheet shows follows from them.
 * Gauges have a record; learners measure too; a second instructor may watch; photographs lie on the media disk.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workshop_gauges', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name', 80);
            $table->string('kind', 20)->comment('caliper, depth, micrometer, rule, plug, thread, square, pins');
            $table->decimal('resolution_mm', 7, 4);
            $table->decimal('uncertainty_mm', 7, 4);
            $table->timestampTz('retired_at')->nullable();
            $table->timestampsTz();
        });
        Schema::create('workshop_gauge_checks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('gauge_id')->constrained('workshop_gauges');
            $table->date('checked_on');
            $table->string('against', 120);
            $table->decimal('zero_error_mm', 7, 4)->comment('what it shows where there is nothing');
            $table->date('due_on');
            $table->foreignId('checked_by')->constrained('people_users');
            $table->timestampTz('created_at');
            $table->index(['gauge_id', 'checked_on']);
        });

        Schema::table('assessment_sheets', function (Blueprint $table): void {
            $table->jsonb('dimensions')->default('[]')->comment('everybody has their own of: {id, from_mm, to_mm, step_mm}');
            $table->jsonb('tasks')->default('[]');
            $table->boolean('own')->default(false)->comment('written in this shop');
            $table->foreignId('published_by')->nullable()->constrained('people_users');
            $table->string('change_note', 300)->nullable();
        });
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->unsignedInteger('seed')->default(1);
            $table->timestampTz('stopped_at')->nullable();
            $table->string('stopped_by')->nullable()->comment('the criterion');
            $table->foreignId('second_id')->nullable()->constrained('people_users');
            $table->timestampTz('second_done_at')->nullable();
            $table->boolean('second_agrees')->nullable();
            $table->string('second_says', 600)->nullable();
            $table->string('part_code', 12)->nullable()->unique();
            $table->jsonb('answers')->default('{}')->comment('of the learner to the tasks, as typed');
            $table->index(['concluded_at']);
        });

        Schema::create('assessment_marks', function (Blueprint $table): void {
            $table->bigIncrements('seq');
            $table->uuid('id')->unique();
            $table->foreignUuid('attempt_id')->constrained('assessment_attempts');
            $table->string('criterion', 80);
            $table->string('seat', 10)->comment('assessor, learner, second');
            $table->string('kind', 10)->comment('verdict, reading, declined, undone, note');
            $table->jsonb('value');
            $table->foreignId('gauge_id')->nullable()->constrained('workshop_gauges');
            $table->foreignId('by_id')->constrained('people_users');
            $table->timestampTz('made_at', 3)->comment('by the clock of the tablet, never later than recorded_at');
            $table->timestampTz('recorded_at', 3);
            $table->string('why', 300)->nullable()->comment('a correction: what stood before counts no longer');
            $table->index(['attempt_id', 'seq']);
            $table->index(['gauge_id']);
        });
        self::moveMarks();
        Schema::table('assessment_attempts', fn (Blueprint $table) => $table->dropColumn('marks'));

        Schema::create('assessment_photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('attempt_id')->constrained('assessment_attempts');
            $table->string('criterion', 80)->nullable();
            $table->string('path', 120);
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->unsignedInteger('bytes');
            $table->char('sha256', 64);
            $table->foreignId('by_id')->constrained('people_users');
            $table->timestampTz('made_at');
            $table->timestampTz('recorded_at');
            $table->index('attempt_id');
        });

        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION assessment_marks_are_kept() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION 'A mark is written once; make another one instead.' USING ERRCODE = 'insufficient_privilege';
            END $$;
            CREATE TRIGGER assessment_marks_no_change BEFORE UPDATE OR DELETE ON assessment_marks
                FOR EACH ROW EXECUTE FUNCTION assessment_marks_are_kept();
            CREATE TRIGGER workshop_gauge_checks_no_change BEFORE UPDATE OR DELETE ON workshop_gauge_checks
                FOR EACH ROW EXECUTE FUNCTION assessment_marks_are_kept();
            REVOKE UPDATE, DELETE ON assessment_marks, workshop_gauge_checks FROM millstep_app;
            SQL);
    }

    /** What older sheets hold in one column becomes a line each, made when the sheet was opened, by its assessor. */
    private static function moveMarks(): void
    {
        foreach (DB::table('assessment_attempts')->where('marks', '!=', '{}')->orderBy('id')->lazy() as $attempt) {
            $rows = [];
            foreach ((array) json_decode($attempt->marks, true) as $criterion => $mark) {
                $typed = array_filter([
                    'value' => $mark['typed'] ?? null, 'dx' => $mark['typed_dx'] ?? null, 'dy' => $mark['typed_dy'] ?? null,
                ], is_string(...));
                $figures = array_intersect_key($mark, ['value_mm' => 0, 'dx_mm' => 0, 'dy_mm' => 0]);
                $half = isset($mark['dx_mm']) xor isset($mark['dy_mm']);
                $at = $attempt->concluded_at ?? $attempt->updated_at ?? $attempt->started_at;
                $half || $rows[] = [
                    'id' => (string) Str::uuid7(), 'attempt_id' => $attempt->id, 'criterion' => $criterion, 'seat' => 'assessor',
                    'kind' => isset($mark['result']) ? 'verdict' : 'reading',
                    'value' => json_encode(isset($mark['result']) ? ['result' => $mark['result']] : [
                        'typed' => (object) $typed, 'units' => $mark['units'] ?? 'mm', 'figures' => $figures,
                        'zero_mm' => 0, 'late' => false,
                    ]),
                    'by_id' => $attempt->assessor_id, 'made_at' => $at, 'recorded_at' => $at,
                ];
            }
            DB::table('assessment_marks')->insert($rows);
        }
    }
};
