<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('assessment_sheets', function (Blueprint $table): void {
            $table->id();
            $table->string('code');
            $table->unsignedInteger('version');
            $table->string('title');
            $table->foreignId('part_id')->constrained('workshop_parts');
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->unsignedSmallInteger('pass_mark_percent');
            $table->jsonb('criteria');
            $table->timestampsTz();
            $table->unique(['code', 'version']);
        });

        Schema::create('assessment_attempts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('sheet_id')->constrained('assessment_sheets');
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('assessor_id')->constrained('people_users');
            $table->jsonb('marks')->default('{}')->comment('by criterion: {result} or {value_mm} or {dx_mm, dy_mm}, as typed beside it');
            $table->string('outcome')->nullable();
            $table->decimal('score_percent', 5, 1)->nullable();
            $table->timestampTz('started_at');
            $table->timestampTz('concluded_at')->nullable();
            $table->timestampsTz();
            $table->index(['learner_id', 'sheet_id']);
        });
    }
};
