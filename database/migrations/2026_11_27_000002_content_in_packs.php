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
        // Content comes in the language it was written in; what it is in others stands beside it, by language.
        $spoken = [
            'learning_lessons', 'learning_checks', 'assessment_sheets', 'competency_permits', 'competency_statements',
            'workshop_parts',
        ];
        foreach ($spoken as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->jsonb('translations')->default('{}'));
        }

        // A pack knows kinds of machines, not this shop's; which one it is is found when it is asked.
        foreach (['learning_lessons', 'assessment_sheets'] as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->string('machine_kind')->nullable());
            DB::statement("UPDATE $name SET machine_kind = (SELECT kind FROM workshop_machines WHERE id = $name.machine_id)");
        }
        Schema::table('assessment_sheets', static fn (Blueprint $table) => $table->foreignId('machine_id')->nullable()->change());
        Schema::table('learning_lessons', static fn (Blueprint $table) => $table->jsonb('findings')->default('[]')
            ->comment('what the setup review finds and this lesson teaches'));

        Schema::table('competency_permits', static fn (Blueprint $table) => $table->jsonb('machine_kinds')->default('[]')
            ->comment('which kinds of machines it is meant for'));

        // What was taken in, so that the same is not offered again.
        Schema::create('content_packs', function (Blueprint $table): void {
            $table->string('code')->primary();
            $table->unsignedInteger('version');
            $table->foreignId('taken_by')->nullable()->constrained('people_users');
            $table->timestampTz('taken_at');
        });
    }
};
