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
        Schema::table('people_cohorts', function (Blueprint $table): void {
            $table->date('ends_on')->nullable()->comment('the last day of its term');
        });
        Schema::create('people_memberships', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained('people_users');
            $table->foreignId('cohort_id')->constrained('people_cohorts');
            $table->primary(['user_id', 'cohort_id']);
        });
        DB::statement('INSERT INTO people_memberships (user_id, cohort_id)
            SELECT id, cohort_id FROM people_users WHERE cohort_id IS NOT NULL');
        Schema::table('people_users', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('cohort_id');
            $table->boolean('all_cohorts')->default(false)->comment('an instructor who reaches every learner');
            $table->timestampTz('invited_at')->nullable();
            $table->timestampTz('joined_at')->nullable()->comment('when a password of their own was set');
            $table->string('sis_id', 80)->nullable()->unique()->comment('what the school calls them in its lists');
        });
        // Whoever was here before goes on as before, until the lead says otherwise.
        DB::statement("UPDATE people_users SET all_cohorts = true WHERE role = 'instructor'");
        DB::statement('UPDATE people_users SET joined_at = created_at');

        // As people_password_resets, for letters that may lie for some days.
        Schema::create('people_invitations', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestampTz('created_at')->nullable();
        });
        // The code that bin/start prints while nobody leads the shop; the database knows its hash alone.
        Schema::create('people_first_codes', function (Blueprint $table): void {
            $table->unsignedSmallInteger('id')->primary();
            $table->char('code_hash', 64);
            $table->timestampTz('created_at');
        });
        Schema::table('gate_badges', function (Blueprint $table): void {
            $table->string('ended_because', 10)->nullable()->comment('lost, replaced, returned');
            $table->timestampTz('ended_at')->nullable();
            $table->foreignId('issued_by')->nullable()->constrained('people_users');
        });
        // Who is where is written down as everything else is.
        foreach (['people_cohorts' => 'id', 'people_memberships' => 'user_id'] as $table => $key) {
            DB::statement("CREATE TRIGGER {$table}_audited AFTER INSERT OR UPDATE OR DELETE ON $table "
                ."FOR EACH ROW EXECUTE FUNCTION records_audit_row('$key')");
        }
    }
};
