<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('learning_lessons', function (Blueprint $table): void {
            $table->id();
            $table->string('code');
            $table->unsignedInteger('version');
            $table->unsignedInteger('accepted_from')->comment('the oldest version whose completion still counts');
            $table->string('title');
            $table->string('place');
            $table->unsignedSmallInteger('minutes');
            $table->jsonb('tools');
            $table->foreignId('part_id')->nullable()->constrained('workshop_parts');
            $table->foreignId('machine_id')->nullable()->constrained('workshop_machines');
            $table->string('hole')->nullable()->comment('which hole of the part the figures are for');
            $table->jsonb('steps');
            $table->timestampsTz();
            $table->unique(['code', 'version']);
        });

        Schema::create('learning_progress', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('lesson_id')->constrained('learning_lessons');
            $table->jsonb('answers')->default('{}')->comment('by step key: {value, verdict, at}');
            $table->timestampTz('completed_at')->nullable();
            $table->timestampsTz();
            $table->unique(['learner_id', 'lesson_id']);
        });

        Schema::create('learning_holds', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('progress_id')->constrained('learning_progress');
            $table->string('step');
            $table->timestampTz('asked_at');
            $table->timestampTz('opened_at')->nullable();
            $table->foreignId('opened_by')->nullable()->constrained('people_users');
            $table->unique(['progress_id', 'step']);
        });

        Schema::create('learning_checks', function (Blueprint $table): void {
            $table->id();
            $table->string('code');
            $table->unsignedInteger('version');
            $table->string('title');
            $table->unsignedSmallInteger('pass_mark_percent');
            $table->jsonb('questions');
            $table->jsonb('draw')->comment('how many of each kind make a paper');
            $table->timestampsTz();
            $table->unique(['code', 'version']);
        });

        Schema::create('learning_attempts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('check_id')->constrained('learning_checks');
            $table->foreignId('learner_id')->constrained('people_users');
            $table->bigInteger('seed');
            $table->jsonb('answers')->nullable();
            $table->jsonb('result')->nullable();
            $table->timestampTz('started_at');
            $table->timestampTz('submitted_at')->nullable();
        });
    }
};
