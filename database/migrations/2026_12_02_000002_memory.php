<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Questions asked again so that they are kept: never part of a check, never in the ledger. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('learning_recalls', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('check_id')->constrained('learning_checks')->comment('the version that it was drawn from');
            $table->string('question');
            $table->bigInteger('seed');
            $table->jsonb('answer')->nullable();
            $table->jsonb('line')->nullable()->comment('what came of it, as on a paper');
            $table->boolean('right')->nullable();
            $table->timestampTz('asked_at');
            $table->timestampTz('answered_at')->nullable();
            $table->index(['learner_id', 'answered_at']);
        });
    }

    public function down(): void
    {
        Schema::drop('learning_recalls');
    }
};
