<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A check that is sat on paper: who printed it, and who typed its answers in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_attempts', function (Blueprint $table): void {
            $table->foreignId('paper_by')->nullable()->constrained('people_users')->comment('who gave it out on paper');
            $table->foreignId('typed_by')->nullable()->constrained('people_users')->comment('who typed its answers in');
        });
    }

    public function down(): void
    {
        Schema::table('learning_attempts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('paper_by');
            $table->dropConstrainedForeignId('typed_by');
        });
    }
};
