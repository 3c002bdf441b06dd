// SPDX-License-Identifier: GPL-3.0-or-later
#include "guide/guide.hpp"

#include "theme/theme.hpp"

#include <QFile>
#include <QHBoxLayout>
#include <QImage>
#include <QKeyEvent>
#include <QListWidget>
#include <QScrollBar>
#include <QTextBlock>
#include <QTextCursor>

/// The pages lie in a library: they are not there before somebody asks.
static void load_guide() {
    Q_INIT_RESOURCE(guide);
}

namespace chalkline::app {
namespace {

constexpr const char* page_property = "guide_page";
constexpr const char* first_page = "index.md";

}  // namespace

std::vector<GuidePage> guide_pages() {
    load_guide();
    std::vector<GuidePage> pages;
    for (const char* name : {first_page, "first-burn.md", "slate.md", "new-material.md", "key-tags.md", "cup.md"}) {
        QFile file(QString(":/guide/") + name);
        if (!file.open(QIODevice::ReadOnly)) continue;
        const QString text = QString::fromUtf8(file.readAll());
        pages.push_back({name, text.section('\n', 0, 0).mid(2), text});
    }
    return pages;
}

void set_guide_page(QWidget* widget, const QString& file) {
    widget->setProperty(page_property, file);
}

QString guide_page_of(const QWidget* widget) {
    for (; widget; widget = widget->parentWidget())
        if (const QVariant page = widget->property(page_property); page.isValid()) return page.toString();
    return first_page;
}

void GuideText::show_page(const QString& file) {
    setSource(QUrl("qrc:/guide/" + file), QTextDocument::MarkdownResource);
}

void GuideText::doSetSource(const QUrl& name, QTextDocument::ResourceType type) {
    QTextBrowser::doSetSource(name, type);
    // Markdown knows no distances: headings stand off what is above them, paragraphs off each other.
    constexpr double above_heading = 14, below = 6;  // px
    for (QTextBlock block = document()->begin(); block.isValid(); block = block.next()) {
        QTextBlockFormat format = block.blockFormat();
        format.setTopMargin(format.headingLevel() > 1 ? above_heading : 0);
        format.setBottomMargin(below);
        QTextCursor(block).setBlockFormat(format);
    }
    moveCursor(QTextCursor::Start);
}

QVariant GuideText::loadResource(int type, const QUrl& name) {
    if (type != QTextDocument::ImageResource) return QTextBrowser::loadResource(type, name);
    const QUrl whole = source().resolved(name);
    const QImage picture(":" + whole.path());
    const int room = viewport()->width() - 2 * static_cast<int>(document()->documentMargin()) - 8;
    const double ratio = devicePixelRatioF();
    if (picture.isNull() || room < 50) return picture;
    QImage fitting = picture.scaledToWidth(static_cast<int>(room * ratio), Qt::SmoothTransformation);
    fitting.setDevicePixelRatio(ratio);
    return fitting;
}

/// Pictures are as wide as the text has become.
void GuideText::resizeEvent(QResizeEvent* event) {
    QTextBrowser::resizeEvent(event);
    const int at = verticalScrollBar()->value();
    if (!source().isEmpty()) reload();
    verticalScrollBar()->setValue(at);
}

GuideWindow::GuideWindow(QWidget* parent) : QWidget(parent, Qt::Window) {
    setObjectName("guide");
    setWindowTitle(tr("Guide — Chalkline"));
    resize(900, 720);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    list_ = new QListWidget(this);
    list_->setAccessibleName(tr("Pages of the guide"));
    list_->setFixedWidth(250);
    list_->setWordWrap(true);
    for (const GuidePage& page : guide_pages()) {
        auto* item = new QListWidgetItem(page.title, list_);
        item->setData(Qt::UserRole, page.file);
    }
    text_ = new GuideText(this);
    text_->setAccessibleName(tr("The page"));
    text_->setOpenExternalLinks(false);
    text_->document()->setDocumentMargin(22);
    row->addWidget(list_);
    row->addWidget(text_, 1);
    connect(list_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item && item->data(Qt::UserRole).toString() != page())
            text_->show_page(item->data(Qt::UserRole).toString());
    });
    // A link from page to page is a step in the list as well.
    connect(text_, &QTextBrowser::sourceChanged, this, [this] {
        for (int i = 0; i < list_->count(); ++i)
            if (list_->item(i)->data(Qt::UserRole).toString() == page()) list_->setCurrentRow(i);
    });
}

void GuideWindow::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) close();
    QWidget::keyPressEvent(event);
}

void GuideWindow::open_page(const QString& file) {
    text_->show_page(file);
    show();
    raise();
    activateWindow();
    text_->setFocus();
}

QString GuideWindow::page() const {
    return text_->source().fileName();
}

}  // namespace chalkline::app
