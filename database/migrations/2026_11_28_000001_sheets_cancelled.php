<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A sheet that was opened by mistake is put away with its marks, by whom and why; it is never deleted. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->timestampTz('cancelled_at')->nullable();
            $table->foreignId('cancelled_by')->nullable()->constrained('people_users');
            $table->string('cancelled_because', 300)->nullable();
        });
        DB::statement('DROP INDEX assessment_attempts_one_open');
        DB::statement(
            'CREATE UNIQUE INDEX assessment_attempts_one_open ON assessment_attempts (sheet_id, learner_id)
                WHERE concluded_at IS NULL AND cancelled_at IS NULL',
        );
    }
};
