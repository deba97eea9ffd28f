<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // In the order in which they were written, whatever a clock said meanwhile.
        DB::statement('ALTER TABLE gate_reads ADD COLUMN seq bigint GENERATED ALWAYS AS IDENTITY');
        DB::statement('ALTER TABLE gate_sessions ADD COLUMN seq bigint GENERATED ALWAYS AS IDENTITY');
        DB::statement('CREATE INDEX gate_reads_at_machine ON gate_reads (machine_id, seq DESC)');
        DB::statement('CREATE INDEX gate_reads_read_at ON gate_reads (read_at)');
        DB::statement('CREATE INDEX gate_sessions_started_at ON gate_sessions (started_at)');

        Schema::table('gate_reads', function (Blueprint $table): void {
            $table->foreignId('badge_id')->nullable()->constrained('gate_badges')
                ->comment('which badge it was; a question waits for this one');
            $table->foreignId('supervisor_id')->nullable()->constrained('people_users');
            $table->jsonb('refused')->default('[]')->comment('why a companion or supervisor does not do, where one was needed');
            $table->jsonb('supervisors')->default('[]')->comment('who could be chosen to supervise, by id and name');
        });
        Schema::table('gate_sessions', function (Blueprint $table): void {
            $table->foreignId('supervisor_id')->nullable()->constrained('people_users')->comment('who watches a supervised turn');
        });
        DB::statement('CREATE INDEX gate_sessions_open_by_companion ON gate_sessions (companion_id) WHERE ended_at IS NULL');
        DB::statement('CREATE INDEX gate_sessions_open_by_supervisor ON gate_sessions (supervisor_id) WHERE ended_at IS NULL');

        DB::statement('ALTER TABLE gate_badges ALTER COLUMN ended_at TYPE timestamptz(6)');
        DB::statement("CREATE INDEX gate_badges_lost ON gate_badges (user_id) WHERE ended_because = 'lost'");

        // Who may supervise for a permit without signing for it.
        Schema::create('competency_supervisors', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained('people_users');
            $table->foreignId('permit_id')->constrained('competency_permits');
            $table->primary(['user_id', 'permit_id']);
        });
        DB::statement("CREATE TRIGGER competency_supervisors_audited AFTER INSERT OR UPDATE OR DELETE ON competency_supervisors
            FOR EACH ROW EXECUTE FUNCTION records_audit_row('user_id')");

        // A person has looked at a clock that was put back, and says that it is right now.
        Schema::create('gate_clock_confirmations', function (Blueprint $table): void {
            $table->id();
            $table->uuid('given_id')->unique();
            $table->foreignId('user_id')->constrained('people_users');
            $table->timestampTz('confirmed_at', 3);
            $table->bigInteger('read_seq')->comment('the last read that this speaks about');
            $table->bigInteger('session_seq')->comment('the last turn that this speaks about');
        });

        // A renewed token takes the place of the one before at its first use; the one before stays on record until it runs out.
        Schema::table('gate_tokens', function (Blueprint $table): void {
            $table->timestampTz('first_used_at', 3)->nullable();
            $table->timestampTz('replaced_at', 3)->nullable();
        });
        DB::statement('UPDATE gate_tokens SET first_used_at = created_at');

        DB::statement('CREATE INDEX competency_ledger_unsealed ON competency_ledger (seq) WHERE seal IS NULL');
        DB::statement("CREATE INDEX competency_ledger_adopted ON competency_ledger (seq) WHERE type = 'adopted'");

        // What the last walk through the whole ledger found, sealed with the shop's key: one row.
        Schema::create('competency_soundness', function (Blueprint $table): void {
            $table->boolean('one')->primary()->default(true);
            $table->text('state')->comment('text, not json: the seal is over it to the letter');
            $table->char('seal', 64);
        });
        DB::statement('ALTER TABLE competency_soundness ADD CHECK (one)');

        // Every anchor that was written, with its signature, and where it went; what is gone from there is known by this.
        Schema::create('competency_anchors', function (Blueprint $table): void {
            $table->id('number');
            $table->unsignedBigInteger('count');
            $table->char('hash', 64);
            $table->timestampTz('at');
            $table->string('signature', 100);
            $table->text('place');
            $table->text('second_place')->nullable();
        });
        DB::statement('REVOKE UPDATE, DELETE ON competency_anchors FROM millstep_app');
        // Days on which the server ran: an anchor grows old by these alone.
        Schema::create('competency_server_days', function (Blueprint $table): void {
            $table->date('day')->primary();
        });

        // A look that was opened on a learner's device says so, and whose PIN it was may say that it was not them.
        Schema::table('learning_holds', function (Blueprint $table): void {
            $table->boolean('opened_here')->default(false);
            $table->timestampTz('disowned_at')->nullable();
        });

        // Who was invited and has no password yet has none, instead of the hash of one that nobody knows.
        DB::statement('ALTER TABLE people_users ALTER COLUMN password DROP NOT NULL');

        // The least stage for supervised use is 1: before it nobody has learnt anything.
        DB::statement("UPDATE workshop_policies SET settings = jsonb_set(settings::jsonb, '{supervised_from_stage}', '1')
            WHERE settings::jsonb ->> 'supervised_from_stage' = '0'");

        DatabaseFunctions::lay('gate_clock_is_back', 'gate_device', 'gate_lock', 'competency_since_fold', 'gate_moment');
    }
};
