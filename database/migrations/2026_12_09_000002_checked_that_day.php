<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What is looked at at a machine before it first turns that day; written once, the latest of a day counts.
        Schema::create('workshop_day_checks', function (Blueprint $table): void {
            $table->uuid('key')->primary();
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->string('part', 20)->comment('guards, stop');
            $table->boolean('good');
            $table->foreignId('said_by')->constrained('people_users');
            $table->timestampTz('at', 3);
            $table->index(['machine_id', 'at']);
        });
        // A sheet keeps how the machine was found on that day.
        Schema::table('assessment_attempts', fn (Blueprint $table) => $table->jsonb('machine_state')->nullable());
    }
};
