<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->jsonb('plan')->nullable()->comment('what its case is planned for; a plain hole through the part where null');
        });
        Schema::create('learning_bindings', function (Blueprint $table): void {
            $table->id();
            $table->string('lesson', 40)->comment('its code: every version of it');
            $table->foreignId('cohort_id')->constrained('people_cohorts')->cascadeOnDelete();
            $table->foreignId('part_id')->nullable()->constrained('workshop_parts');
            $table->foreignId('machine_id')->nullable()->constrained('workshop_machines');
            $table->jsonb('cribs')->default('[]')->comment('slugs; those beside the machine where empty');
            $table->jsonb('sizes')->default('[]')->comment('ranges from which each learner gets a size of their own');
            $table->unsignedInteger('seed')->comment('from which they are drawn');
            $table->foreignId('bound_by')->constrained('people_users');
            $table->timestampTz('bound_at');
            $table->unique(['lesson', 'cohort_id']);
        });
        // Who changed what learners read is written down as everything else is.
        DB::statement('CREATE TRIGGER learning_bindings_audited AFTER INSERT OR UPDATE OR DELETE ON learning_bindings '
            ."FOR EACH ROW EXECUTE FUNCTION records_audit_row('lesson')");
    }

    public function down(): void
    {
        Schema::drop('learning_bindings');
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->dropColumn('plan');
        });
    }
};
