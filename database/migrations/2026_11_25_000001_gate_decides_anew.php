<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('gate_sessions', function (Blueprint $table): void {
            $table->jsonb('request')->default('{}')->comment('what the person said they would do; judged anew as long as the turn lasts');
            $table->foreignId('companion_id')->nullable()->constrained('people_users');
            $table->timestampTz('confirmed_at', 3)->nullable()->comment('when the person last showed that they are there');
            $table->string('ended_because')
                ->nullable()
                ->comment('finished, handed_over, idle or the reasons of the decision that ended it');
            $table->jsonb('end_reasons')->default('[]');
            $table->foreignId('ended_by')->nullable()->constrained('people_users');
        });
        DB::statement('CREATE INDEX gate_sessions_open_by_person ON gate_sessions (user_id) WHERE ended_at IS NULL');

        Schema::table('gate_reads', function (Blueprint $table): void {
            $table->string('intent')->default('start')->comment('start, finish or hand_over');
            $table->char('fingerprint', 64)
                ->default('')
                ->comment('of device, badge and request: only the very same read is answered again');
            $table->foreignUuid('session_id')->nullable()->constrained('gate_sessions');
            $table->foreignId('holder_id')->nullable()->constrained('people_users')->comment('who had the machine, where it was in use');
            $table->jsonb('asks')->default('[]');
            $table->jsonb('scopes')->default('[]')->comment('what each signature covered');
            $table->boolean('guess')->default(false)->comment('a badge or a companion\'s badge that nobody has');
            $table->index(['device_id', 'read_at']);
        });

        Schema::table('gate_devices', function (Blueprint $table): void {
            $table->uuid('pairing_id')->nullable()->unique();
            $table->timestampTz('last_seen_at')->nullable();
            $table->timestampTz('revoked_at')->nullable();
            $table->foreignId('revoked_by')->nullable()->constrained('people_users');
            $table->timestampTz('slowed_until')->nullable();
        });
    }
};
