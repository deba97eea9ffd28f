<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Why a sheet is put away, and how many marks it had; those that were put away before have neither, and start no wait.
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->string('put_away_because', 30)->nullable();
            $table->unsignedSmallInteger('put_away_marks')->nullable();
        });
        // Of an outcome, too, something is said in lines of the sheet: the learner's word, an appeal, its answer.
        Schema::table('assessment_marks', fn (Blueprint $table) => $table->string('kind', 20)->change());
        // Who may assess and sign: by whom, from, until, at which machines, on what ground. Those from before stand as they are.
        Schema::table('competency_authorisations', function (Blueprint $table): void {
            $table->timestampTz('valid_from')->default('2000-01-01 00:00:00+00');
            $table->timestampTz('valid_until')->nullable();
            $table->jsonb('machines')->nullable()->comment('ids; null: all that the permit is for');
            $table->string('ground', 300)->nullable();
            $table->foreignId('given_by')->nullable()->constrained('people_users');
        });
        // Who may be assessed before supervised practice: once, by somebody else than who granted it.
        Schema::create('assessment_exceptions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('learner_id')->constrained('people_users');
            $table->string('sheet', 60);
            $table->string('kind', 20)->comment('transfer, repeat, other');
            $table->foreignId('granted_by')->constrained('people_users');
            $table->timestampTz('granted_at', 3);
            $table->foreignUuid('attempt_id')->nullable()->constrained('assessment_attempts')->comment('the one try that it was for');
            $table->index(['learner_id', 'sheet']);
        });
        // A second view that was drawn when the sheet was opened; and whoever from outside is asked for it, by a link to this one sheet.
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->boolean('second_wanted')->default(false);
            $table->timestampTz('second_viewed_at')->nullable();
        });
        Schema::create('assessment_reviews', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('attempt_id')->constrained('assessment_attempts');
            $table->string('token_hash', 64)->unique();
            $table->string('name', 120);
            $table->foreignId('invited_by')->constrained('people_users');
            $table->timestampTz('invited_at', 3);
            $table->timestampTz('expires_at', 3);
            $table->timestampTz('said_at', 3)->nullable();
            $table->boolean('agrees')->nullable();
            $table->string('says', 600)->nullable();
        });
        // A sheet may be done on several pieces, at a machine that is named.
        Schema::table('assessment_sheets', fn (Blueprint $table) => $table->jsonb('variants')->default('[]'));
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->string('variant', 60)->nullable();
            $table->foreignId('machine_id')->nullable()->constrained('workshop_machines');
        });
        DatabaseFunctions::lay('gate_moment', 'records_audit_row');
        // A learner's own words about an outcome go with their name.
        DatabaseFunctions::lay('assessment_marks_are_kept', 'people_forget');
    }
};
