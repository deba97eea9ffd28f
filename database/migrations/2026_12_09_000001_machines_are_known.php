<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What makes a machine another one to the hand, and when its record came to say something else of it.
        Schema::table('workshop_machines', function (Blueprint $table): void {
            foreach (['stop', 'isolator', 'brake', 'locks'] as $trait) {
                $table->string($trait, 120)->nullable();
            }
            $table->jsonb('trait_changes')->default('[]')->comment('trait, from, to, at: in their order');
        });
        // One row from when on it was asked who knows which machine; what was used in the year before counts (competency:used-before).
        Schema::create('competency_used_before', fn (Blueprint $table) => $table->timestampTz('at', 3));
    }
};
