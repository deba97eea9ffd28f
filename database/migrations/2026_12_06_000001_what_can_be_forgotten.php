<?php

declare(strict_types=1);

use App\Competency\Texts\Keys;
use App\Competency\Texts\Words;
use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Words and names stand beside the ledger's lines, under a key of each person, so that they can be forgotten and the chain holds. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people_users', function (Blueprint $table): void {
            $table->timestampTz('forgotten_at')->nullable();
        });
        Schema::create('competency_keys', function (Blueprint $table): void {
            $table->foreignId('person_id')->primary()->constrained('people_users');
            $table->string('key', 44)->comment('32 bytes in base64; who is forgotten has none');
        });
        Schema::table('competency_ledger', function (Blueprint $table): void {
            $table->smallInteger('format')->default(1)->comment('1: words stand in the payload, 2: beside it');
            $table->char('by_subject', 64)->nullable()->comment('commitment to words and name under the key of whom it is about');
            $table->char('by_writer', 64)->nullable()->comment('the same under the key of who wrote it');
        });
        DB::statement('ALTER TABLE competency_ledger ALTER COLUMN format SET DEFAULT 2');
        DB::statement('ALTER TABLE competency_ledger
            ADD CHECK (format IN (1, 2) AND (by_subject IS NULL) = (by_writer IS NULL))');
        DB::statement("CREATE INDEX competency_ledger_forgetting ON competency_ledger (type, seq)
            WHERE type IN ('blanked', 'forgotten')");
        Schema::create('competency_texts', function (Blueprint $table): void {
            $table->uuid('line')->primary();
            $table->text('about')->comment('words, and the name of whom they are about, under that one\'s key');
            $table->text('writer')->comment('the name of who wrote them, under their own key');
        });
        DB::statement('REVOKE UPDATE, DELETE ON competency_keys, competency_texts FROM millstep_app');
        $this->copyWords();
        DB::unprepared('DROP TRIGGER people_users_audited ON people_users');
        DatabaseFunctions::lay(
            'competency_ledger_is_append_only',
            'competency_blank',
            'competency_forget',
            'competency_since_fold',
            'records_audit_row',
            'records_audit_is_append_only',
            'people_forget',
        );
        DB::unprepared('CREATE TRIGGER people_users_audited AFTER INSERT OR UPDATE OR DELETE ON people_users
            FOR EACH ROW EXECUTE FUNCTION records_audit_row(\'id\')');
        foreach (['competency_blank(bigint, json)', 'competency_forget(bigint)', 'people_forget(bigint, text, text, text)'] as $function) {
            DB::unprepared("REVOKE ALL ON FUNCTION $function FROM PUBLIC; GRANT EXECUTE ON FUNCTION $function TO millstep_app");
        }
    }

    /** The words of lines from before stand in them for as long as nobody is forgotten, and beside them from now on. */
    private function copyWords(): void
    {
        DB::table('competency_ledger')->whereNotNull('data->reason')->orderBy('seq')->chunk(500, static function ($lines): void {
            $people = [...$lines->pluck('learner_id'), ...$lines->pluck('recorded_by')];
            $keys = Keys::made(...$people);
            $names = DB::table('people_users')->whereIn('id', $people)->pluck('name', 'id');
            DB::table('competency_texts')->insert($lines->map(static fn (stdClass $line): array => [
                'line' => $line->id,
                'about' => $keys[$line->learner_id]->seal((new Words($names[$line->learner_id], [
                    'reason' => (string) json_decode($line->data, true)['reason'],
                ]))->toText()),
                'writer' => $keys[$line->recorded_by]->seal((new Words($names[$line->recorded_by]))->toText()),
            ])->all());
        });
    }
};
