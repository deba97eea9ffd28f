<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a logbook entry says beside machine and minutes; what an instructor changed in it, and sent back. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('practice_entries', function (Blueprint $table): void {
            $table->foreignUuid('plan_id')->nullable()->constrained('planning_plans')->nullOnDelete();
            $table->foreignUuid('turn_id')->nullable()->unique()->comment('the turn at the gate that filled in machine and minutes');
            $table->string('chip', 20)->nullable();
            $table->string('readings', 300)->nullable();
            $table->string('mishap', 600)->nullable();
            $table->jsonb('edits')->default('[]')->comment('{by, at, why, was}: what it said before an instructor changed it');
        });
    }
};
