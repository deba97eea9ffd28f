<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gate_devices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->string('name');
            $table->foreignId('paired_by')->nullable()->constrained('people_users');
            $table->timestampsTz();
        });

        Schema::create('gate_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestampTz('last_used_at')->nullable();
            $table->timestampTz('expires_at')->nullable();
            $table->timestampsTz();
        });

        Schema::create('gate_badges', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained('people_users');
            $table->char('code_hash', 64)->unique();
            $table->boolean('active')->default(true);
            $table->timestampsTz();
        });

        Schema::create('gate_presences', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained('people_users');
            $table->timestampTz('until');
        });

        Schema::create('gate_sessions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->foreignId('user_id')->constrained('people_users');
            $table->string('decision');
            $table->timestampTz('started_at', 3);
            $table->timestampTz('ended_at', 3)->nullable();
        });
        // One person at a time has the machine.
        Illuminate\Support\Facades\DB::statement(
            'CREATE UNIQUE INDEX gate_sessions_one_open ON gate_sessions (machine_id) WHERE ended_at IS NULL',
        );

        Schema::create('gate_reads', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->foreignId('device_id')->constrained('gate_devices');
            $table->foreignId('user_id')->nullable()->constrained('people_users');
            $table->string('event')->comment('decision or finished');
            $table->string('decision')->nullable();
            $table->jsonb('reasons');
            $table->jsonb('missing')->comment('what the next stage still needs, when that is why');
            $table->jsonb('request');
            $table->timestampTz('read_at', 3);
            $table->index(['machine_id', 'read_at']);
        });
    }
};
