<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was measured of a machine or a drill, and what it came to: a log, never changed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workshop_checks', function (Blueprint $table): void {
            $table->id();
            $table->uuid('key')->unique()->comment('made by who measured, so that the same is kept once');
            $table->string('kind', 30);
            $table->foreignId('machine_id')->nullable()->constrained('workshop_machines')->cascadeOnDelete();
            $table->foreignId('tool_id')->nullable()->constrained('workshop_tools')->cascadeOnDelete();
            $table->jsonb('given')->comment('as the core was given it');
            $table->jsonb('found')->comment('what the core made of it');
            $table->foreignId('said_by')->constrained('people_users');
            $table->timestampTz('at');
            $table->index(['machine_id', 'kind', 'at']);
            $table->index(['tool_id', 'at']);
        });
    }

    public function down(): void
    {
        Schema::drop('workshop_checks');
    }
};
