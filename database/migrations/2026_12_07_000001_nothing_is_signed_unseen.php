<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A try at a PIN that was counted and not answered, so that the same sent again is not counted twice.
        Schema::table('people_users', function (Blueprint $table): void {
            $table->string('pin_open_guess', 16)->nullable();
            $table->timestampTz('pin_open_at', 3)->nullable();
        });
        DatabaseFunctions::lay('records_audit_row');
        // When a tablet says that a mark was made, where that could not be: after now, or before the sheet was opened.
        Schema::table('assessment_marks', fn (Blueprint $table) => $table->timestampTz('said_at', 3)->nullable());
        // What a version asks for beside its pass mark; those from before are finished as they were begun.
        Schema::table('assessment_sheets', fn (Blueprint $table) => $table->jsonb('gates')->nullable());
    }
};
