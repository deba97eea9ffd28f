<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('competency_permits', function (Blueprint $table): void {
            $table->boolean('further')->default(false)
                ->comment('widens what may be done at its machines; not needed for what their other permits are for');
        });
        Schema::table('gate_reads', function (Blueprint $table): void {
            $table->jsonb('further')->default('[]')->comment('what each further permit covered');
        });
        Schema::table('practice_entries', function (Blueprint $table): void {
            $table->foreignId('permit_id')->nullable()->constrained('competency_permits')
                ->comment('a further permit that it was for; those that the machine takes anyway where null');
        });
    }

    public function down(): void
    {
        Schema::table('practice_entries', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('permit_id');
        });
        Schema::table('gate_reads', function (Blueprint $table): void {
            $table->dropColumn('further');
        });
        Schema::table('competency_permits', function (Blueprint $table): void {
            $table->dropColumn('further');
        });
    }
};
