<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('planning_plans', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name');
            $table->string('kind')->comment('hole, layout or lathe');
            $table->jsonb('request')->comment('as it was typed, with the units that it was typed in');
            $table->jsonb('answer')->comment('what it came to when it was saved');
            $table->foreignId('part_id')->nullable()->constrained('workshop_parts')->nullOnDelete();
            $table->foreignId('owner_id')->constrained('people_users');
            $table->timestampsTz();
            $table->softDeletesTz();
        });

        // A plan belongs to lessons and practical sheets by their code, whatever their version.
        Schema::create('planning_attachments', function (Blueprint $table): void {
            $table->foreignUuid('plan_id')->constrained('planning_plans')->cascadeOnDelete();
            $table->string('to')->comment('lesson or sheet');
            $table->string('code');
            $table->primary(['plan_id', 'to', 'code']);
            $table->index(['to', 'code']);
        });
    }
};
