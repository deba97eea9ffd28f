<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_entries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('learner_id')->constrained('people_users');
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->string('exercise');
            $table->unsignedSmallInteger('minutes');
            $table->date('done_on');
            $table->text('note')->nullable();
            $table->string('state')->default('waiting')->comment('waiting, confirmed or declined');
            $table->foreignId('decided_by')->nullable()->constrained('people_users');
            $table->timestampTz('decided_at')->nullable();
            $table->string('reason')->nullable();
            $table->timestampsTz();
            $table->index(['state', 'done_on']);
        });
    }
};
