// Saves two jobs over one another as fast as it can, until it is killed. Says so after the first save.
#include "app/shell/job_store.hpp"

#include <QCoreApplication>
#include <QFile>
#include <cstdio>

using namespace yes_square;
using namespace yes_square::app;

int main(int argc, char** argv) {
    QCoreApplication application{argc, argv};
    QFile file{QString::fromLocal8Bit(argv[1])};
    if (argc != 3 || !file.open(QIODevice::ReadOnly))
        return 2;
    Job first = read_job(file.readAll().toStdString())->job;
    Job second = first;
    first.title = "first";
    second.title = "second";
    JobStore store;
    for (bool said = false;; said = true) {
        for (const Job* job : {&first, &second})
            if (!store.save_as(QString::fromLocal8Bit(argv[2]), *job).isEmpty())
                return 1;
        if (!said) {
            std::puts("saving");
            std::fflush(stdout);
        }
    }
}
