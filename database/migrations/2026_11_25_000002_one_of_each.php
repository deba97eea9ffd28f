<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** However many ask at once: one open paper, one open sheet; and a ledger line whose seal only the shop's key can make. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            'CREATE UNIQUE INDEX learning_attempts_one_open ON learning_attempts (check_id, learner_id) WHERE submitted_at IS NULL',
        );
        DB::statement(
            'CREATE UNIQUE INDEX assessment_attempts_one_open ON assessment_attempts (sheet_id, learner_id) WHERE concluded_at IS NULL',
        );

        Schema::table('competency_ledger', function (Blueprint $table): void {
            $table->char('seal', 64)
                ->nullable()
                ->comment('HMAC of the hash under the shop\'s key; empty only on lines older than the seal');
            $table->index(['learner_id', 'seq']);
        });

        Schema::table('people_users', function (Blueprint $table): void {
            $table->timestampTz('pin_set_at')->nullable();
        });
    }
};
